// Before the first paint, so that a dark appearance never flashes light. src/look/appearance.ts takes over from here.
(() => {
  let chosen = null;
  try {
    chosen = localStorage.getItem('mint-lamp/dress');
  } catch {
    // Storage is forbidden; the system's preference decides.
  }
  const dark = chosen ? chosen === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = dark ? 'dark-dress' : 'light-dress';
})();
