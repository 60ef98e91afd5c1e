const escape = (text: string): string =>
  text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`)

/** The page in front of the door: no script, nothing of what is behind it. */
export const doorPage = (said?: string): string => `<!doctype html>
<html lang="en">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Even Watt</title>
<style>
  body { font: 18px/1.5 system-ui, sans-serif; background: #f8f6ee; color: #1a1c22; margin: 0; padding: 2rem 1.25rem; }
  form { display: grid; gap: 1rem; max-width: 24rem; margin: 0 auto; }
  input { font: inherit; width: 100%; box-sizing: border-box; padding: .6rem; border: 1px solid #5a5d66; background: #fffefa; color: inherit; }
  button { font: inherit; font-weight: bold; padding: .8rem; border: 0; background: #1a1c22; color: #f8f6ee; }
  .said { color: #9c1c31; }
  @media (prefers-color-scheme: dark) { body { background: #15171c; color: #ece9df; } input { background: #1f222a; } button { background: #ece9df; color: #15171c; } .said { color: #f0808c; } }
</style>
<form method="post" action="/door">
  <h1>Even Watt</h1>
  <p>Before you type the passphrase, compare the certificate’s fingerprint with the one on the computer.</p>
  ${said === undefined ? '' : `<p class="said" role="alert">■ ${escape(said)}</p>`}
  <label>Passphrase<input name="passphrase" type="password" autocomplete="current-password" required autofocus></label>
  <label>Name of this device<input name="name" maxlength="60" placeholder="phone" required></label>
  <button>Come in</button>
</form>
</html>`
