import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { DAY, NOW, session } from '../../test/stand-ins';
import { DayLines } from '../calendar/rail-days';
import { railScale } from '../calendar/rail-layout';
import { LocalRules } from '../ui/local-rules';
import { Cautions } from './cautions';

const withSettings = (more: Partial<typeof session.workshop>, role = session.person.role) => ({ person: { ...session.person, role }, workshop: { ...session.workshop, ...more } }); // prettier-ignore

it('a workshop says in its own words what holds there, and those stand with the cautions', async () => {
  const sent = fakeServer({ 'PUT workshop': withSettings({ localRules: 'Rinse into the grey drum alone.' }) });
  renderScreen(<Cautions />);
  const rules = screen.getByLabelText('What holds here');
  const save = screen.getByRole('button', { name: /^Save .*what holds here/i });
  expect(save).toBeDisabled();
  await userEvent.type(rules, 'Rinse into the grey drum alone. ');
  await userEvent.click(save);
  await waitFor(() => expect(sent[0]).toMatchObject({ path: 'workshop', body: { localRules: 'Rinse into the grey drum alone.' } })); // prettier-ignore
  renderScreen(<LocalRules />, '/here', '/here', withSettings({ localRules: 'Rinse into the grey drum alone.' }));
  expect(screen.getByText(/^Here:/)).toBeVisible();
});

it('whoever may not change them reads them; where there are none nothing stands', () => {
  fakeServer();
  renderScreen(<Cautions />, '/here', '/here', withSettings({ localRules: 'Two lift from 15 kg.' }, 'helper'));
  expect(screen.getByLabelText('What holds here')).toHaveAttribute('readonly');
  expect(screen.queryByRole('button', { name: /^Save/ })).toBeNull();
  renderScreen(<LocalRules />, '/here', '/here', withSettings({ localRules: ' ' }));
  expect(screen.queryByText(/^Here:/)).toBeNull();
});

it.each([
  ['monday', 1],
  ['sunday', 0],
  ['saturday', 6],
] as const)('weeks of the calendar begin on %s where the workshop counts them so', (weekStart, day) => {
  fakeServer();
  const scale = railScale(NOW, [NOW + 21 * DAY], 800);
  const lines = <DayLines scale={scale} now={NOW} height={9} />;
  renderScreen(<svg>{lines}</svg>, '/here', '/here', withSettings({ weekStart }));
  const drawn = [...document.querySelectorAll('line[stroke-width="1"]')].map((line) => Number(line.getAttribute('x1')));
  const begins = scale.days.filter((at) => new Date(at).getDay() === day).map((at) => scale.x(at));
  expect(drawn).toEqual(begins);
  expect(begins.length).toBeGreaterThan(1);
});
