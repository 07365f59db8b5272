/** Who tastes, and who looks at a thermometer, at this tablet: remembered here and nowhere else. */
type Doing = 'taster' | 'looker';
const STORE = 'slow-pot';

export function whoHere(doing: Doing): string {
  try {
    return localStorage.getItem(`${STORE}-${doing}`) ?? '';
  } catch {
    // a browser that keeps nothing asks again
    return '';
  }
}

export function rememberWho(doing: Doing, name: string): void {
  try {
    localStorage.setItem(`${STORE}-${doing}`, name);
  } catch {
    // it keeps nothing: the name stands in its field until the page goes
  }
}
