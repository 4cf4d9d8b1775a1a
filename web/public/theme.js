// Before the first paint, so that a dark hut is not lit up by a white flash.
document.documentElement.dataset.theme =
  JSON.parse(localStorage.getItem('kobran.preferences') ?? '{}').theme ??
  (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
