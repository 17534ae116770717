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
