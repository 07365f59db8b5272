import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { SCALES, type Scale, VERDICTS, type Verdict } from '../../../core/taste';
import { colour, media, space, target } from '../../theme/tokens';
import { adjustWords, SCALE_WORDS, verdictWords } from '../../words';

/** One line of the mouth: “right” stands in the middle, what is wanted to the left of it, what is too much to the right. */
const Line = styled(RadioGroup)`
  display: grid;
  grid-template-columns: 5.2em minmax(0, 1fr) 6.6em;
  gap: 0 ${space.s};
  align-items: center;
  .name {
    font-weight: 700;
  }
  .stops {
    position: relative;
    display: grid;
    grid-template-columns: repeat(${VERDICTS.length}, 1fr);
  }
  .stops::before {
    content: '';
    position: absolute;
    inset: 50% 8% auto 8%;
    height: 8px;
    margin-top: -4px;
    border-radius: 4px;
    background: ${colour.line};
  }
  .stop {
    position: relative;
    display: grid;
    place-items: center;
    min-height: ${target.anywhere};
    cursor: pointer;
    outline: none;
  }
  .stop::after {
    content: '';
    width: 8px;
    height: 8px;
    border-radius: 50%;
    background: ${colour.edge};
  }
  .stop[data-verdict='right']::after {
    width: 3px;
    height: 26px;
    border-radius: 2px;
    background: ${colour.iron};
  }
  .stop[data-selected]::after {
    width: 30px;
    height: 30px;
    border-radius: 50%;
    border: 3px solid ${colour.enamel};
    background: ${colour.act};
  }
  .stop[data-selected][data-verdict='right']::after {
    background: ${colour.onTarget};
  }
  .stop[data-focus-visible]::after {
    outline: 3px solid ${colour.act};
    outline-offset: 2px;
  }
  output {
    color: ${colour.soft};
  }
  &[data-said='off'] output {
    color: ${colour.act};
    font-weight: 700;
  }
  &[data-said='right'] output {
    color: ${colour.onTarget};
  }
  ${media.narrow} {
    grid-template-columns: 4.6em minmax(0, 1fr) 5.6em;
  }
`;

export type Says = Partial<Record<Scale, Verdict>>;

/** What the spoon says of each scale, by one press or an arrow key. */
export function TasteLines({
  says,
  dishColour,
  onChange,
}: {
  says: Says;
  dishColour: string;
  onChange: (says: Says) => void;
}) {
  return (
    <div>
      {SCALES.map((scale) => {
        const verdict = says[scale];
        return (
          <Line
            key={scale}
            aria-label={SCALE_WORDS[scale]}
            orientation="horizontal"
            value={verdict ?? null}
            data-said={verdict === undefined ? 'none' : verdict === 'right' ? 'right' : 'off'}
            onChange={(value) => onChange({ ...says, [scale]: value as Verdict })}
          >
            <span className="name">{SCALE_WORDS[scale]}</span>
            <span className="stops">
              {VERDICTS.map((one) => (
                <Radio
                  key={one}
                  value={one}
                  className="stop"
                  data-verdict={one}
                  aria-label={verdictWords(scale, one, dishColour)}
                />
              ))}
            </span>
            <output>{verdict ? verdictWords(scale, verdict, dishColour) : adjustWords.notSaid}</output>
          </Line>
        );
      })}
    </div>
  );
}
