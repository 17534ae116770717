/** Under what the demo project is kept on every server that has it. */
export const SKERRY_LINE_ID = '5ce77000-0000-4000-8000-000000000001';
