/** What kind of device a browser says it is on; the rest stands as it calls itself. */
export const agentInWords = (agent: string): string =>
  /mobile|android|phone/i.test(agent)
    ? 'A phone or tablet'
    : agent
      ? 'A computer'
      : 'A device that does not say which';
