/**
 * The stand-in for a developer's page that loads a live style sheet: it is told the sheet's address behind its own `#`, and
 * has no colours of its own.
 */
export const PROTOTYPE_PAGE = `<!doctype html>
<html lang="en">
<head>
  <meta charset="utf-8">
  <meta name="viewport" content="width=device-width, initial-scale=1">
  <title>Skerry Line, a prototype</title>
  <style>
    * { box-sizing: border-box; }
    body { margin: 0; font: 17px/1.5 system-ui, sans-serif; background: var(--page-ground, #fff); color: var(--text-main, #222); }
    header, main { max-width: 60rem; margin: 0 auto; padding: 1.25rem; }
    header { display: flex; flex-wrap: wrap; gap: 1rem; align-items: center; justify-content: space-between; }
    .hero { padding: 3.5rem 1.5rem; border-radius: 8px; background: var(--page-sunken, #ddd); }
    .light { height: 6rem; border-radius: 8px; margin-top: 1rem; background: var(--gradient-first-light, var(--page-sunken, #ddd)); }
    h1 { margin: 0 0 1.25rem; font-size: 2.25rem; line-height: 1.1; }
    button, select { font: inherit; padding: .5rem 1rem; border-radius: 6px; border: 1px solid var(--line-strong, #777); }
    button { background: var(--action-fill, #ddd); color: var(--action-text, #222); border-color: transparent; }
    select { background: var(--page-raised, #fff); color: inherit; }
    ul { list-style: none; padding: 0; display: grid; gap: 1rem; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); }
    li { padding: 1rem; border-radius: 8px; background: var(--page-raised, #fff); border: 1px solid var(--line-soft, #ccc); }
    .notice { background: var(--notice-ontime-ground, #eee); color: var(--notice-ontime-text, #222); padding: .75rem 1rem; border-radius: 8px; }
    small { color: var(--text-quiet, #555); } a { color: var(--text-link, #222); }
    :focus-visible { outline: 3px solid var(--focus-ring, #222); outline-offset: 2px; }
  </style>
</head>
<body>
<header>
  <b>Skerry Line</b>
  <label>Theme <select id="theme"><option value="">As the sheet begins</option></select></label>
</header>
<main>
  <p id="says" hidden>Open this page from a live style sheet at Deliver: its address tells which colours to follow.</p>
  <div class="hero"><h1>To Hallin before breakfast</h1><button>Book a crossing</button><div class="light"></div></div>
  <p class="notice">The 09:10 to Grey Holm is on time.</p>
  <ul>
    <li><b>Hallin</b><br><small>07:20, 09:10, 12:40</small><br><a href="#timetable">Timetable</a></li>
    <li><b>Oster Skerry</b><br><small>08:00, 11:30, 16:15</small><br><a href="#timetable">Timetable</a></li>
    <li><b>Grey Holm</b><br><small>09:10, 13:05, 18:20</small><br><a href="#timetable">Timetable</a></li>
  </ul>
</main>
<script>
  const sheet = location.hash.slice(1);
  const themes = document.getElementById('theme');
  themes.onchange = () => {
    if (themes.value) document.documentElement.dataset.theme = themes.value;
    else delete document.documentElement.dataset.theme;
  };
  // The themes that the sheet has, by the marks that it asks for.
  const look = () => {
    const text = [...document.querySelectorAll('style')].map((one) => one.textContent).join('');
    for (const [, name] of text.matchAll(/\\[data-theme="?([\\w-]+)"?\\]/g))
      if (![...themes.options].some((one) => one.value === name)) themes.add(new Option(name.replaceAll('-', ' '), name));
  };
  if (/^https?:\\/\\/[^/]+\\/api\\/shared\\/[\\w-]+$/.test(sheet)) {
    const script = document.createElement('script');
    script.src = sheet + '/follow.js';
    document.head.append(script);
    new MutationObserver(look).observe(document.head, { childList: true, subtree: true });
  } else document.getElementById('says').hidden = false;
  onhashchange = () => location.hash.startsWith('#http') && location.reload();
</script>
</body>
</html>
`;
