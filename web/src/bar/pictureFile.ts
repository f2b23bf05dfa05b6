/** What of the page's styles an exported picture needs written into it. */
const PROPERTIES = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'paint-order',
  'vector-effect',
];

/** The picture as it stands, as an SVG file of its own: styles written in, nothing that only a page can use. */
export function pictureFile(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const [own, copies] = [
    [svg, ...svg.querySelectorAll<SVGElement>('*')],
    [copy, ...copy.querySelectorAll<SVGElement>('*')],
  ];
  own.forEach((from, i) => {
    const to = copies[i];
    if (!to) return;
    const style = getComputedStyle(from);
    // a pattern or a marker is named by its place in this document, which goes along; a colour by variable does not
    for (const name of PROPERTIES) {
      const value = style.getPropertyValue(name);
      if (value !== '' && !value.startsWith('url(')) to.style.setProperty(name, value);
    }
    for (const name of to.getAttributeNames())
      if (/^(class|tabindex|role|aria-|data-|on)/.test(name) || (name !== 'style' && to.getAttribute(name)?.includes('var(') === true))
        to.removeAttribute(name);
  });
  const { width, height } = svg.getBoundingClientRect();
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', String(Math.round(width)));
  copy.setAttribute('height', String(Math.round(height)));
  if (!copy.hasAttribute('viewBox')) copy.setAttribute('viewBox', `0 0 ${String(Math.round(width))} ${String(Math.round(height))}`);
  const title = document.createElementNS('http://www.w3.org/2000/svg', 'title');
  title.textContent = svg.getAttribute('aria-label') ?? '';
  copy.prepend(title);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}
