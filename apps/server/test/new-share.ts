import { type NewShare, NOTED, type ShareSubject, TRIED } from '@mint-lamp/core/wire/shares';

const A_WEEK_MS = 7 * 24 * 60 * 60 * 1000;

/** A share of something, with all that may be done with that. */
export const newShare = (subject: ShareSubject, more: Partial<NewShare> = {}): NewShare => ({
  name: 'For Nis',
  subject,
  revision: null,
  tries: TRIED.includes(subject.kind),
  notes: NOTED.includes(subject.kind),
  endsAt: new Date(Date.now() + A_WEEK_MS).toISOString(),
  passphrase: null,
  ...more,
});
