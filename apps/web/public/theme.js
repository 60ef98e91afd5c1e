// Before anything is drawn: day or night as last chosen, else as the system says.
let chosen
try {
  chosen = localStorage.getItem('theme')
} catch {
  // This browser is set to keep nothing.
}
document.documentElement.dataset.theme =
  chosen ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day')
