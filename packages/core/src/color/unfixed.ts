/** What the system paints pages and controls with (CSS Color 4 §10). */
export const SYSTEM_COLORS =
  /\b(?:AccentColor(?:Text)?|ActiveText|Button(?:Border|Face|Text)|Canvas(?:Text)?|Field(?:Text)?|GrayText|Highlight(?:Text)?|LinkText|Mark(?:Text)?|SelectedItem(?:Text)?|VisitedText)\b/i;

const WHOLE = new RegExp(`^(?:currentcolor|${SYSTEM_COLORS.source})$`, 'i');

/** Whether a text is a colour that depends on where it stands or on who looks. */
export const isUnfixed = (text: string): boolean => WHOLE.test(text.trim());
