/** What the end of a session is told by. */
export const sessionTopic = (sessionId: string) => `session ${sessionId}`;
