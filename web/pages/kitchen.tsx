import { Link, NavLink, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { boilingPointC } from '../../core/heat';
import { Choice } from '../components/choice';
import { LinkButton } from '../components/link-button';
import { Over, Soft, Title } from '../components/text';
import { useRecipes } from '../data/queries';
import { colour, media, size, space, target } from '../theme/tokens';
import { useTheme } from '../theme/use-theme';
import { kitchenWords } from '../words';
import { CallSettings } from './kitchen-parts/call-settings';
import { ClockForm } from './kitchen-parts/clock';
import { Devices } from './kitchen-parts/devices';
import { FirstRecipes } from './kitchen-parts/first-recipes';
import { HeatSection } from './kitchen-parts/heat';
import { LimitsSection } from './kitchen-parts/limits';
import { MoveKitchen } from './kitchen-parts/move-kitchen';
import { PlaceSection } from './kitchen-parts/place';
import { PotsSection } from './kitchen-parts/pots';
import { canCook, SECTIONS } from './kitchen-parts/sections';
import { ColdSection, PeopleSection, ServiceSection } from './kitchen-parts/things';
import { ToolsSection } from './kitchen-parts/tools';
import { useKitchenHere } from './use-kitchen-here';

const Columns = styled.div`
  display: grid;
  grid-template-columns: 268px minmax(0, 1fr);
  min-height: 100%;
  ${media.medium} {
    grid-template-columns: 208px minmax(0, 1fr);
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
  }
`;

const Index = styled.nav`
  padding: ${space.l} 28px;
  border-right: 1px solid ${colour.line};
  display: grid;
  gap: ${space.m};
  align-content: start;
  .parts a {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    gap: ${space.s};
    min-height: ${target.anywhere};
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
    color: ${colour.iron};
    text-decoration: none;
  }
  .parts a span {
    color: ${colour.soft};
    font-size: ${size.small};
    white-space: nowrap;
  }
  .parts a[aria-current='page'] {
    font-weight: 700;
    box-shadow: inset 4px 0 0 ${colour.act};
    padding-left: ${space.s};
  }
  .all {
    display: none;
  }
  ${media.narrow} {
    padding: ${space.m} ${space.m} 0;
    border-right: 0;
    /* one part at a time: the list is a press away */
    &.inPart > :not(.all) {
      display: none;
    }
    &.inPart .all {
      display: block;
    }
  }
`;

const Part = styled.div`
  padding: ${space.l} 28px ${space.xl};
  display: grid;
  gap: ${space.l};
  align-content: start;
  max-width: 1000px;
  > section {
    display: grid;
    gap: ${space.m};
  }
  ${media.narrow} {
    padding: ${space.m};
  }
`;

/** The kitchen itself: set up part by part, each useful at once, each to be changed at any time. */
export function Kitchen() {
  const kitchen = useKitchenHere();
  const { section = 'now' } = useParams();
  const { data: recipes = [] } = useRecipes();
  const isReady = canCook(kitchen);
  const left = SECTIONS.filter((one) => one.known(kitchen, recipes.length) === null);
  const minutes = left.reduce((sum, one) => sum + one.minutes, 0);
  return (
    <Columns>
      <Index aria-label={kitchenWords.partsOfTheKitchen} className={section === 'now' ? '' : 'inPart'}>
        <Link className="all" to="/kitchen">
          {kitchenWords.allPartsOfTheKitchen}
        </Link>
        <div>
          <Title>{isReady ? kitchen.name : kitchenWords.settingUpYourKitchen}</Title>
          <Over>
            {minutes > 0
              ? kitchenWords.aboutMinLeftEverythingCan(minutes)
              : kitchenWords.waterBoilsAtCHere2(boilingPointC({ altitudeM: kitchen.altitudeM }))}
          </Over>
        </div>
        <div className="parts">
          {SECTIONS.map((one) => (
            <NavLink key={one.id} to={`/kitchen/${one.id}`}>
              {one.title}
              <span>{one.known(kitchen, recipes.length) ?? '–'}</span>
            </NavLink>
          ))}
          <NavLink to="/kitchen" end>
            {kitchenWords.clockDevicesLight}
            <span />
          </NavLink>
        </div>
        {!isReady && <Soft>{kitchenWords.youCanCookAfterOne}</Soft>}
        {isReady && left.length > 0 && <LinkButton to="/plan">{kitchenWords.planABatch}</LinkButton>}
      </Index>
      <Part>
        <SectionOf id={section} />
      </Part>
    </Columns>
  );
}

function SectionOf({ id }: { id: string }) {
  const kitchen = useKitchenHere();
  const navigate = useNavigate();
  switch (id) {
    case 'place':
      return (
        <PlaceSection
          kitchen={kitchen}
          onSaved={() => {
            if (!canCook(kitchen)) navigate('/kitchen/pots');
          }}
        />
      );
    case 'pots':
      return <PotsSection kitchen={kitchen} />;
    case 'heat':
      return <HeatSection kitchen={kitchen} />;
    case 'service':
      return <ServiceSection kitchen={kitchen} />;
    case 'cold':
      return <ColdSection kitchen={kitchen} />;
    case 'tools':
      return <ToolsSection kitchen={kitchen} />;
    case 'people':
      return <PeopleSection kitchen={kitchen} />;
    case 'limits':
      return <LimitsSection kitchen={kitchen} />;
    case 'recipes':
      return <FirstRecipes />;
    default:
      return <Now />;
  }
}

/** What runs now: the clock, what is plugged in, this device's light and sound. */
function Now() {
  const kitchen = useKitchenHere();
  const [theme, setTheme] = useTheme();
  return (
    <>
      <ClockForm kitchen={kitchen} />
      <Devices />
      <CallSettings />
      <MoveKitchen />
      <Choice
        label={kitchenWords.lightOnThisDevice}
        value={theme}
        options={[
          { value: 'day', text: kitchenWords.day },
          { value: 'dim', text: kitchenWords.dimKitchen },
        ]}
        onChange={setTheme}
      />
    </>
  );
}
