/**
 * What browsers set by themselves, as far as it decides which text is drawn by which face, in which size and lines (HTML, section 15, Rendering; MathML Core,
 * appendix; and the elements that all browsers treat so beyond it).
 */
export const userAgentStyles = `
address, article, aside, blockquote, body, center, dd, details, dialog, dir, div, dl, dt, fieldset, figcaption, figure,
footer, form, h1, h2, h3, h4, h5, h6, header, hgroup, hr, html, legend, listing, main, menu, nav, ol, optgroup, option, p,
plaintext, pre, search, section, slot, summary, ul, xmp { display: block }
area, base, basefont, datalist, head, link, meta, noembed, noframes, param, rp, script, style, template, title, noscript,
[hidden], dialog:not([open]), audio:not([controls]), input[type=hidden], [popover]:not(:popover-open) { display: none }
embed[hidden] { display: inline }
li { display: list-item }
summary { display: list-item; list-style: disclosure-closed inside }
details[open] > summary { list-style-type: disclosure-open }
details:not([open]) > :not(summary) { content-visibility: hidden }
b, strong, h1, h2, h3, h4, h5, h6, th { font-weight: bold }
b, strong { font-weight: bolder }
i, em, cite, dfn, var, address { font-style: italic }
code, kbd, samp, tt, pre, listing, plaintext, xmp { font-family: monospace }
ul, menu, dir { list-style-type: disc }
ul ul, ol ul, menu ul, dir ul { list-style-type: circle }
ol { list-style-type: decimal }
ol[type="1"], li[type="1"] { list-style-type: decimal }
ol[type=a s], li[type=a s] { list-style-type: lower-alpha }
ol[type=A s], li[type=A s] { list-style-type: upper-alpha }
ol[type=i s], li[type=i s] { list-style-type: lower-roman }
ol[type=I s], li[type=I s] { list-style-type: upper-roman }
ul[type=none i], li[type=none i] { list-style-type: none }
ul[type=disc i], li[type=disc i] { list-style-type: disc }
ul[type=circle i], li[type=circle i] { list-style-type: circle }
ul[type=square i], li[type=square i] { list-style-type: square }
q::before { content: open-quote }
q::after { content: close-quote }
input, select, button, textarea, ::file-selector-button { font: 13px Arial; text-transform: none }
textarea { font-family: monospace }
optgroup { font-weight: bolder }
optgroup option { font-weight: normal }
table { font-weight: inherit }
rt { font-size: 50% }
`;

/** The same for the size and the lines of text. */
export const userAgentLineStyles = `
h1 { font-size: 2em }
h2 { font-size: 1.5em }
h3 { font-size: 1.17em }
h5 { font-size: .83em }
h6 { font-size: .67em }
small, sub, sup { font-size: smaller }
big { font-size: larger }
pre, listing, plaintext, xmp { white-space: pre }
textarea { white-space: pre-wrap }
nobr, option { white-space: nowrap }
caption, th { text-align: center }
input, select, button, textarea { letter-spacing: normal; word-spacing: normal }
body { margin: 8px }
blockquote, figure { margin-left: 40px; margin-right: 40px }
ul, ol, menu, dir { padding-left: 40px }
dd { margin-left: 40px }
fieldset { margin: 0 2px; border: 2px solid; padding: 0 .75em }
dialog { position: absolute; border: solid; padding: 1em }
`;
