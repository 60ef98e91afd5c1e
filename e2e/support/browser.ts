/** How Debian's Chromium is launched, in its build that has no window: the walks, pictures and benchmarks use it. */
export const browserOptions = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    ...(process.getuid?.() === 0 ? ['--no-sandbox'] : []),
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--disable-gpu',
  ],
}
