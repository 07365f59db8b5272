import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { colour, radius, size, space, target } from '../theme/tokens';
import type { WorkingWords } from '../words';
import { commonWords } from '../words';
import { FigureText } from './text';

const Row = styled(Button)`
  display: grid;
  grid-template-columns: auto 1fr;
  align-items: baseline;
  gap: ${space.s};
  width: 100%;
  min-height: ${target.anywhere};
  padding: 5px 0;
  border: 0;
  border-bottom: 1px solid ${colour.line};
  background: none;
  text-align: right;
  cursor: pointer;
  & > span:first-child {
    text-align: left;
    color: ${colour.soft};
    text-decoration: underline dotted ${colour.edge};
    text-underline-offset: 4px;
  }
  &[data-hovered] > span:first-child {
    color: ${colour.iron};
  }
`;

const Note = styled.span`
  color: ${colour.soft};
  font-size: ${size.small};
  margin-left: ${space.s};
`;

const Sheet = styled(Popover)`
  width: min(400px, 92vw);
  background: ${colour.hollow};
  border: 1px solid ${colour.edge};
  border-radius: ${radius.m};
  overflow: auto;
`;

const Lines = styled(Dialog)`
  display: grid;
  gap: ${space.xs};
  padding: ${space.m};
  outline: none;
  font-size: ${size.small};
  footer {
    color: ${colour.soft};
    margin-top: ${space.xs};
  }
`;

/** A computed figure; a press opens its line of arithmetic, its source and how sure it is. */
export function Figure({
  label,
  value,
  note,
  working,
  long,
}: {
  label: string;
  value: string;
  note?: string;
  working: WorkingWords;
  long?: boolean;
}) {
  return (
    <DialogTrigger>
      <Row>
        <span>{label}</span>
        <span>
          {long ? <strong>{value}</strong> : <FigureText>{value}</FigureText>}
          {note && <Note>{note}</Note>}
        </span>
      </Row>
      <Sheet
        placement="left top"
        offset={12}
        // In a landmark of its own, beside the place.
        UNSTABLE_portalContainer={document.getElementById('notes') ?? document.body}
      >
        <Lines aria-label={commonWords.howCameAbout(label.toLowerCase())}>
          {working.lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
          <footer>
            {working.source && <p>{commonWords.from(working.source)}</p>}
            {working.sureness && <p>{commonWords.howSure(working.sureness)}</p>}
          </footer>
        </Lines>
      </Sheet>
    </DialogTrigger>
  );
}
