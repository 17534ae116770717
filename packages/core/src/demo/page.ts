/** A page of the ferry company as it was before there was a system, with its style sheet: colours by hand. */
export const OLD_PAGE = `<!doctype html>
<html lang="en"><head><title>Deck notices</title><link rel="stylesheet" href="deck-notices.css"></head><body><header><b>Skerry Line</b><a href="/timetable">Timetable</a><a href="/islands">Islands</a></header>
<main><h1>Deck notices</h1><p class="lead">What changes on board today, told as soon as we know.</p>
<div class="notice">Fog at Grey Holm: the 09:40 leaves at 10:05.</div>
<section class="card"><h2>Upper deck</h2><p>Open from the second sailing on. Hold on to your hat.</p><button class="go">Reserve a seat</button></section>
<section class="card"><h2>Bicycles</h2><p>One goes free with every day return.</p><button class="go">See how</button></section></main>
<footer>Skerry Line, north pier, Hallin</footer></body></html>`;

export const OLD_SHEET = `:root{--page-bg:#fdfbf5;--ink:#12262b;--brand:#0b5f6b}
body{margin:0;background:var(--page-bg);color:var(--ink);font:16px/1.5 system-ui,sans-serif}
header{background:#0b5f6b;color:#ffffff;padding:20px 32px;display:flex;gap:24px;align-items:baseline}
header a{color:#d3e7ea}header b{font-size:24px}
main{max-width:760px;margin:24px auto;padding:0 24px}h1{font-size:32px;line-height:1.2;margin:0 0 8px}
.lead{color:#5b6f73}.notice{border:1px solid #d9cfae;background:#fbe3b4;color:#6b4300;border-radius:6px;padding:14px 18px;margin:16px 0}
.card{background:#ffffff;border:1px solid #dfe4e4;border-radius:6px;padding:18px;margin:12px 0;box-shadow:0 1px 3px rgb(0 0 0 / .12)}
.card p{color:#5b6f73;margin:4px 0 12px}.go{background:#e2552b;color:#ffffff;border:0;border-radius:6px;padding:10px 18px;font:inherit;font-weight:700}
footer{background:#e9eeec;color:#44575b;padding:20px 32px;font-size:14px}
`;

/** The timetable of the old site, with the sheets that it grew over the years: near-twins, a night of its own, no two alike. */
export const OLD_TIMETABLE = `<!doctype html>
<html lang="en"><head><title>Timetable</title><link rel="stylesheet" href="old-site.css"><style>.late{color:#b8234a}.late b{color:#b7234a}</style></head>
<body><header><b>Skerry Line</b></header><main><h1>Timetable</h1><table><tr><th>Hallin</th><td>06:10</td></tr><tr><th>Oster Skerry</th><td class="late">06:40, <b>late</b></td></tr></table><a class="go" href="/">Reserve</a></main></body></html>`;

export const OLD_SITE_SHEET = `@import "old-colours.css";
body{background:var(--site-ground);color:var(--site-ink);font:16px/1.5 system-ui,sans-serif}
header{background:var(--site-brand);color:#fff}header b{color:#fefefe}
table{border-collapse:collapse}td,th{border:1px solid #dfe4e4;padding:6px 12px}tr:nth-child(2n){background:#eef2f1}tr:hover{background:#edf2f1}
.go{background:#e2552b;color:#fff}.go:hover{background:#c83d19;color:#fff}.go:disabled{background:#c9d2d2;color:#8a9799}
.note{background:#fbe3b4;color:#6b4300}.note a{color:#6a4300}
`;

export const OLD_COLOURS_SHEET = `:root{--site-h:187;--site-ground:#fdfbf5;--site-ink:#12262b;--site-brand:hsl(var(--site-h) 81% 23%);--site-brand-soft:color-mix(in srgb,var(--site-brand) 20%,#fff)}
@media (prefers-color-scheme:dark){:root{--site-ground:#061215;--site-ink:#e6f3f4;--site-brand:hsl(var(--site-h) 36% 59%)}}
`;
