import { createGlobalStyle } from 'styled-components';
import { colour, DAY_VARIABLES, DIM_VARIABLES, font, media, size } from './tokens';

/** The ground everything stands on: colours of the theme, type, focus ring, reduced motion, paper. */
export const GlobalStyle = createGlobalStyle`
  :root { ${DAY_VARIABLES} color-scheme: light; }
  :root[data-theme='dim'] { ${DIM_VARIABLES} color-scheme: dark; }
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; }
  body {
    margin: 0;
    background: ${colour.enamel};
    color: ${colour.iron};
    font: 400 ${size.text}/1.4 ${font.text};
    font-variant-numeric: tabular-nums lining-nums;
    -webkit-text-size-adjust: 100%;
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  h1, h2, h3 { font-family: ${font.title}; font-weight: 650; line-height: 1.12; text-wrap: balance; }
  ul, ol { list-style: none; }
  button, input { font: inherit; color: inherit; }
  a { color: ${colour.act}; }
  :focus-visible { outline: 3px solid ${colour.act}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { animation: none !important; transition: none !important; }
  }
  ${media.paper} {
    html, body, #root { height: auto; }
    body { background: none; }
  }
`;
