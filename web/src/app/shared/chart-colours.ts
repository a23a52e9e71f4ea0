/** A colour token as the colour it is now: Plotly reads neither variables nor `light-dark()`. */
export function resolvedColour(host: HTMLElement, token: string): string {
  const probe = document.createElement('i');
  probe.style.color = `var(${token})`;
  host.append(probe);
  const { color } = getComputedStyle(probe);
  probe.remove();
  return color || getComputedStyle(host).getPropertyValue(token);
}
