/** Who tastes at this tablet, remembered here and nowhere else. */
const STORE = 'slow-pot-taster';

export function tasterHere(): string {
  try {
    return localStorage.getItem(STORE) ?? '';
  } catch {
    // a browser that keeps nothing asks again
    return '';
  }
}

export function rememberTaster(name: string): void {
  try {
    localStorage.setItem(STORE, name);
  } catch {
    // it keeps nothing: the name stands in its field until the page goes
  }
}
