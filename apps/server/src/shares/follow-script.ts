/** The script by which a page's colours go on with a live style sheet: for any browser, loaded beside it. */
export const FOLLOW_SCRIPT = `// The colours of this page follow a project of Mint Lamp.
(() => {
  const from = new URL('changes', document.currentScript.src);
  const [colours, drag] = [0, 1].map(() => document.head.appendChild(document.createElement('style')));
  const events = new EventSource(from);
  events.onmessage = ({ data }) => {
    const told = JSON.parse(data);
    if (told.sheet !== undefined) colours.textContent = told.sheet;
    if (told.css) colours.append(told.css);
    drag.textContent = told.drag || '';
  };
})();
`;
