import { memo, useCallback, useRef } from 'react';
import { Button as AriaButton, type ButtonProps, type PressEvent } from 'react-aria-components';
import styled, { css } from 'styled-components';
import { colour, font, motion, radius, size, space, target } from '../theme/tokens';

/** `main` is the one act of a state; `plain` stands beside it; `quiet` is for what is seldom wanted. */
type Kind = 'main' | 'plain' | 'quiet';

const kinds = {
  main: css`
    background: ${colour.act};
    color: ${colour.onAct};
    border-color: ${colour.act};
  `,
  plain: css`
    background: ${colour.sheet};
    border-color: ${colour.iron};
  `,
  quiet: css`
    background: transparent;
    border-color: transparent;
    color: ${colour.act};
    text-decoration: underline;
    text-underline-offset: 3px;
  `,
};

const Box = styled(AriaButton)<{ $kind: Kind; $atPot: boolean }>`
  min-height: ${({ $atPot }) => ($atPot ? target.atPot : target.anywhere)};
  padding: ${space.s} ${({ $kind }) => ($kind === 'quiet' ? space.s : space.m)};
  border: 2px solid;
  border-radius: ${radius.m};
  font-family: ${font.text};
  font-size: ${({ $atPot }) => ($atPot ? size.lead : size.text)};
  font-weight: ${({ $kind }) => ($kind === 'quiet' ? 400 : 700)};
  cursor: pointer;
  transition: filter ${motion.quick};
  ${({ $kind }) => kinds[$kind]}
  &[data-hovered] {
    filter: brightness(1.08);
  }
  &[data-pressed] {
    filter: brightness(0.9);
  }
  &[data-disabled] {
    background: ${colour.hollow};
    border-color: ${colour.line};
    color: ${colour.soft};
    cursor: not-allowed;
  }
`;

/** As it was drawn, unless it says or allows something else: it is the dearest thing on a screen that a clock moves. */
const Drawn = memo(Box);

export function Button({
  kind = 'plain',
  atPot = false,
  onPress,
  ...props
}: ButtonProps & { kind?: Kind; atPot?: boolean }) {
  // what a press does may be new each second; the button that is drawn is told only when it is pressed
  const act = useRef(onPress);
  act.current = onPress;
  const press = useCallback((event: PressEvent) => act.current?.(event), []);
  return <Drawn $kind={kind} $atPot={atPot} {...props} {...(onPress ? { onPress: press } : {})} />;
}
