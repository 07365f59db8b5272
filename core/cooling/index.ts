export { coolingHours } from './cooling-hours';
export { FILM_WM2K } from './film';
