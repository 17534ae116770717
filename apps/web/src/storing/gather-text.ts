/** Under what the text that lies at Gather is kept while the tab is open. */
export const gatherTextKey = (projectId: string): string => `mint-lamp/gather/${projectId}`;
