// Runs before the page is drawn, so that it never flashes in the other theme.
(function () {
  const kept = localStorage.getItem('theme');
  const dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.bsTheme = dark ? 'dark' : 'light';
  addEventListener('click', (event) => {
    if (event.target instanceof Element && event.target.closest('[data-theme-toggle]')) {
      const next = document.documentElement.dataset.bsTheme === 'dark' ? 'light' : 'dark';
      document.documentElement.dataset.bsTheme = next;
      localStorage.setItem('theme', next);
      dispatchEvent(new Event('themechange'));
    }
  });
})();
