import type { Account, FactorBegun } from '@mint-lamp/core/wire/people';
import { format } from 'date-fns';
import QRCode from 'qrcode';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import {
  useBeginFactorMutation,
  useDropFactorMutation,
  useNewRecoveryCodesMutation,
  useUseFactorMutation,
} from '../fetching/account-api.ts';
import { Button } from '../ui/button.tsx';
import { CopyButton } from '../ui/copy-button.tsx';
import { FormField } from '../ui/form-field.tsx';
import { ProofForm } from './proof-form.tsx';
import { answered, useAsking } from './use-asking.ts';

type Doing =
  | { readonly what: 'nothing' | 'begin' | 'drop' | 'renew' }
  | { readonly what: 'scan'; readonly begun: FactorBegun }
  | { readonly what: 'codes'; readonly codes: readonly string[] };

const NOTHING: Doing = { what: 'nothing' };

/** Setting up a second factor, its recovery codes, and removing it. */
export function SecondFactor({ account }: { account: Account }) {
  const [doing, setDoing] = useState<Doing>(NOTHING);
  const [begin] = useBeginFactorMutation();
  const [drop] = useDropFactorMutation();
  const [renew] = useNewRecoveryCodesMutation();
  const has = account.factorSince !== null;
  const giveUp = () => setDoing(NOTHING);
  switch (doing.what) {
    case 'begin':
      return (
        <ProofForm
          hasFactor={false}
          yes="Go on"
          onGiveUp={giveUp}
          onProof={async (proof) => setDoing({ what: 'scan', begun: await answered(begin(proof)) })}
        />
      );
    case 'scan':
      return (
        <Scan begun={doing.begun} onGiveUp={giveUp} onCodes={(codes) => setDoing({ what: 'codes', codes })} />
      );
    case 'codes':
      return <Codes codes={doing.codes} onDone={giveUp} />;
    case 'drop':
      return (
        <ProofForm
          hasFactor
          danger
          yes="Remove the second factor"
          onGiveUp={giveUp}
          onProof={async (proof) => {
            await answered(drop(proof));
            toast('The second factor is removed.');
            giveUp();
          }}
        />
      );
    case 'renew':
      return (
        <ProofForm
          hasFactor
          yes="Make new codes"
          onGiveUp={giveUp}
          onProof={async (proof) => setDoing({ what: 'codes', codes: (await answered(renew(proof))).codes })}
        />
      );
    case 'nothing':
      if (!has)
        return (
          <Button onClick={() => setDoing({ what: 'begin' })} className="self-start">
            Set up a second factor
          </Button>
        );
      return (
        <div>
          <p className="mb-2">
            Set up since {format(new Date(account.factorSince!), 'd MMMM yyyy')};{' '}
            {account.recoveryCodes === 1
              ? '1 recovery code is'
              : `${account.recoveryCodes} recovery codes are`}{' '}
            left.
          </p>
          <div className="flex gap-2">
            <Button onClick={() => setDoing({ what: 'renew' })}>New recovery codes</Button>
            <Button look="danger" onClick={() => setDoing({ what: 'drop' })}>
              Remove it
            </Button>
          </div>
        </div>
      );
  }
}

/** The secret as a picture for the app's camera, and in letters for typing; the first code shows that it is there. */
function Scan({
  begun,
  onGiveUp,
  onCodes,
}: {
  begun: FactorBegun;
  onGiveUp: () => void;
  onCodes: (codes: readonly string[]) => void;
}) {
  const [take] = useUseFactorMutation();
  const [picture, setPicture] = useState<string | null>(null);
  useEffect(() => {
    // Dark on light in either dress: that is what cameras look for.
    void QRCode.toDataURL(begun.address, { margin: 2, scale: 5, errorCorrectionLevel: 'M' }).then(setPicture);
  }, [begun]);
  const form = useForm<{ code: string }>({ defaultValues: { code: '' } });
  const { submit, problem, busy } = useAsking(form, async ({ code }) => {
    onCodes((await answered(take(code))).codes);
  });
  return (
    <form noValidate onSubmit={submit} className="flex flex-wrap gap-6">
      {picture && (
        <img
          src={picture}
          width={185}
          height={185}
          alt="The secret for your authenticator app, as a QR code"
          className="rounded-md border border-control"
        />
      )}
      <div className="flex max-w-sm flex-1 flex-col gap-3">
        <p>
          Point your authenticator app at the picture, or type this into it:{' '}
          <span className="font-mono text-sm">{begun.secret.replace(/(.{4})(?=.)/g, '$1 ')}</span>
        </p>
        <FormField
          label="The code that it shows"
          inputMode="numeric"
          autoComplete="one-time-code"
          autoFocus
          fault={form.formState.errors.code?.message ?? problem ?? undefined}
          {...form.register('code', { required: 'Type the six digits.' })}
        />
        <div className="flex gap-2">
          <Button type="submit" look="primary" disabled={busy}>
            Use it from now on
          </Button>
          <Button onClick={onGiveUp}>Cancel</Button>
        </div>
      </div>
    </form>
  );
}

function Codes({ codes, onDone }: { codes: readonly string[]; onDone: () => void }) {
  return (
    <div>
      <p role="status" className="mb-2 max-w-md">
        Your recovery codes. Each stands in once for a code of the app. Keep them where you find them without
        your phone; they are not shown again.
      </p>
      <ul
        aria-label="Recovery codes"
        className="mb-3 grid w-max grid-cols-2 gap-x-8 gap-y-1 rounded-md bg-sunken p-4 font-mono"
      >
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <div className="flex gap-2">
        <CopyButton text={codes.join('\n')} label="Copy all ten">
          Copy all ten
        </CopyButton>
        <Button onClick={onDone}>I have kept them</Button>
      </div>
    </div>
  );
}
