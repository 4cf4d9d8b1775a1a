/** What of the page’s style a drawing takes along. */
const carried = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'paint-order',
] as const;

/** The drawings of a page as one SVG file, one below the other, which looks the same without the page. */
export function svgText(drawings: readonly SVGSVGElement[]): string {
  const root = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
  let bottom = 0;
  let right = 0;
  for (const drawing of drawings) {
    const copy = drawing.cloneNode(true) as SVGSVGElement;
    const from = [drawing, ...drawing.querySelectorAll('*')];
    for (const [k, element] of [copy, ...copy.querySelectorAll<SVGElement>('*')].entries()) {
      const style = getComputedStyle(from[k]);
      for (const name of carried) element.style.setProperty(name, style.getPropertyValue(name));
      element.removeAttribute('class');
    }
    // The picture under the plan stays on the server: a file cannot lead there.
    for (const image of copy.querySelectorAll('image')) image.remove();
    const { width, height } = drawing.getBoundingClientRect();
    copy.setAttribute('y', String(bottom));
    root.append(copy);
    bottom += height;
    right = Math.max(right, width);
  }
  root.setAttribute('viewBox', `0 0 ${right} ${bottom}`);
  return new XMLSerializer().serializeToString(root);
}
