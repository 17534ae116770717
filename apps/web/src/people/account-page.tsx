import { useAccountQuery } from '../fetching/account-api.ts';
import { reasonOf } from '../fetching/api.ts';
import { Failure } from '../ui/notice.tsx';
import { NameForm, PassphraseForm } from './account-forms.tsx';
import { DeleteAccount } from './delete-account.tsx';
import { OwnPage, Section } from './own-page.tsx';
import { SecondFactor } from './second-factor.tsx';
import { Sessions } from './sessions.tsx';

export default function AccountPage() {
  return (
    <OwnPage title="Your account" lead="Your name, how you sign in, and where you are signed in.">
      <Parts />
    </OwnPage>
  );
}

function Parts() {
  const { data: account, error, refetch } = useAccountQuery();
  if (error && !account)
    return (
      <div className="mt-6">
        <Failure fault={reasonOf(error)} onAgain={() => void refetch()} />
      </div>
    );
  if (!account) return <p className="mt-6 text-quiet">Opening …</p>;
  return (
    <>
      <Section title="Name" says={`You sign in as ${account.email}.`}>
        <NameForm key={account.name} name={account.name} />
      </Section>
      <Section title="Passphrase" says="Changing it signs you out everywhere but here.">
        <PassphraseForm email={account.email} />
      </Section>
      <Section
        title="Second factor"
        says="A code from an app on your phone, on top of the passphrase: a guessed passphrase alone is not enough."
      >
        <SecondFactor account={account} />
      </Section>
      <Section
        title="Where you are signed in"
        says="Don’t recognise one? End it, and change your passphrase."
      >
        <Sessions />
      </Section>
      <Section
        title="Your data"
        says="Your account, your own projects with all they have, and what you wrote elsewhere."
      >
        <a
          href="/api/account/data"
          download
          className="inline-flex h-8 items-center rounded-md border border-control bg-raised px-3 hover:bg-sunken"
        >
          Download it all as one file
        </a>
      </Section>
      <Section
        title="Leave for good"
        says="Your own projects go with you. What teams have stays with them, without your name."
      >
        <DeleteAccount hasFactor={account.factorSince !== null} />
      </Section>
    </>
  );
}
