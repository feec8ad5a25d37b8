/** How far a mail is: on its way, sent, not taken yet by the mail server, or kept here where there is none. */
export const mailStates = ['waiting', 'sent', 'failing', 'kept'] as const;
export type MailState = (typeof mailStates)[number];

/** A mail of the workshop. Times ms. */
export interface MailView {
  readonly id: string;
  readonly to: string;
  readonly subject: string;
  readonly state: MailState;
  readonly madeAt: number;
  /** What it says; of one that was sent nothing is kept. */
  readonly text?: string;
  /** What the mail server answered when it did not take it. */
  readonly error?: string;
}
