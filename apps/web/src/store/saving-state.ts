/**
 * How the open project stands with the server, as a state machine.
 *
 * ```
 *            edited            sent               settled
 *   idle ───────────▶ waiting ──────▶ sending ───────────────▶ idle
 *                       ▲  ▲            │  │
 *                       │  └─ answered ─┘  ├── refused ──▶ refused ── mended ──▶ waiting
 *                       └── answered ── away ◀── lost ── (sending, refused, or asking for news)
 *
 *   outdated, gone and read-only are ends: only another document leaves them.
 * ```
 */
export type SavingState =
  /** The server has everything. */
  | 'idle'
  /** There are edits that no request carries yet. */
  | 'waiting'
  /** A request with edits is on its way. */
  | 'sending'
  /** The server says no: what it says no to is being let go of. */
  | 'refused'
  /** The server or its database does not answer; it is tried again and again. */
  | 'away'
  /** This page is older than the server. */
  | 'outdated'
  /** The project was removed. */
  | 'gone'
  /** The project can only be looked at here. */
  | 'read-only';

export type SavingEvent =
  /** There is something to be sent. */
  | 'edited'
  /** A request with edits has left. */
  | 'sent'
  /** It was answered, and there is more to send. */
  | 'answered'
  /** Nothing is left to be sent. */
  | 'settled'
  /** The server said no to a request. */
  | 'refused'
  /** What it said no to is out of the way. */
  | 'mended'
  /** There was no answer. */
  | 'lost'
  | 'outdated'
  | 'removed';

const ENDS = { outdated: 'outdated', removed: 'gone' } as const;

/** Where each event leads from each state; an event that is not named changes nothing. */
const TRANSITIONS: Record<SavingState, Partial<Record<SavingEvent, SavingState>>> = {
  idle: { edited: 'waiting', lost: 'away', ...ENDS },
  waiting: { sent: 'sending', settled: 'idle', lost: 'away', ...ENDS },
  sending: { answered: 'waiting', settled: 'idle', refused: 'refused', lost: 'away', ...ENDS },
  refused: { mended: 'waiting', settled: 'idle', lost: 'away', ...ENDS },
  // A try that is under way is no reason to say that the server is back.
  away: { answered: 'waiting', settled: 'idle', refused: 'refused', ...ENDS },
  outdated: {},
  gone: {},
  'read-only': {},
};

export const savingAfter = (state: SavingState, event: SavingEvent): SavingState =>
  TRANSITIONS[state][event] ?? state;

/** Nothing more can be sent from this page. */
export const isOver = (state: SavingState): boolean => !Object.keys(TRANSITIONS[state]).length;
