import { pasted } from '../pasted'

/**
 * A dark site with an unusual reset: everything inherits, headings have no style, and the text is coloured
 * element by element, so that text that inherits only from the body would be dark on dark.
 */
export function darkPage(elogioUrl: string): string {
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<link rel="icon" href="data:,">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Saltmarsh Lane Letterpress</title>
<style>
*, *::before, *::after { margin: 0; padding: 0; border: 0; box-sizing: border-box; font: inherit; vertical-align: baseline; color: inherit; text-decoration: none; list-style: none; background: none }
html { background: #17131a; font: 16px/1.6 "Gill Sans", "Trebuchet MS", sans-serif }
body { max-width: 1080px; margin: 0 auto; padding: 40px 24px 80px; color: #2b2226 }
.masthead { display: flex; justify-content: space-between; border-bottom: 1px solid #4a3b46; padding-bottom: 18px; color: #f2e6ee; letter-spacing: .08em; text-transform: uppercase }
h1 { margin: 56px 0 14px; font-size: 44px; line-height: 1.1; color: #fff; max-width: 18em }
p { color: #cdbfc8; max-width: 38em }
.wall { margin-top: 56px; padding-top: 30px; border-top: 1px solid #4a3b46 }
</style>
</head>
<body>
<header class="masthead"><span>Saltmarsh Lane</span><span>Cards · Weddings · Days at the press</span></header>
<main>
<h1>Set by hand, letter by letter, since nobody told us to stop.</h1>
<p>Visiting cards, wedding suites and days at the press, printed on cotton in a shed by the water.</p>
<div class="wall">
${pasted(elogioUrl, 'workshop-wall', 'Saltmarsh Lane Letterpress')}
</div>
</main>
<script async src="${elogioUrl}/embed.js"></script>
</body>
</html>`
}
