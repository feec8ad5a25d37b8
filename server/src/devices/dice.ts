/** A repeatable number in −1…1 for a whole number: the dice of the simulated devices. */
export function dice(n: number, salt: number): number {
  const x = Math.sin(n * 127.1 + salt * 311.7) * 43758.5453;
  return 2 * (x - Math.floor(x)) - 1;
}
