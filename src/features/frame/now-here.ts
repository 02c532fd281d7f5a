/**
 * Now by this device's clock. In a demo garden, which the page says of itself, at this hour of the demo's own day: what a gardener
 * does there happens on it.
 */
export function nowHere(): Date {
  const now = new Date();
  const demoDay = document.documentElement.dataset.demoDay;
  if (!demoDay) return now;
  const [year = 0, month = 1, day = 1] = demoDay.split('-').map(Number);
  now.setFullYear(year, month - 1, day);
  return now;
}
