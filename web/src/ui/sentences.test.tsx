import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { exactly, msg } from '@dewpot/core/units';
import { fakeServer, palette, renderScreen } from '../../test/fake-server';
import { firstBase } from '../tints/tint-words';
import { Amounts } from './amounts';
import { weekdayClock } from './format-time';
import { LanguageChoice } from './language-choice';

describe('a sentence', () => {
  it('sets off its amounts, wherever they stand in it', () => {
    const { container } = render(
      <p>
        <Amounts of={msg('pours.putInSplashes', { first: exactly(476, 'mL'), splash: exactly(30, 'mL') })} />
      </p>,
    );
    expect(container).toHaveTextContent('Put in 476 mL, then splashes of 30 mL until it looks right.');
    expect([...container.querySelectorAll('strong')].map((one) => one.textContent)).toEqual(['476 mL', '30 mL']);
  });
  it('sets off its times as well, and no name', () => {
    const at = new Date(2026, 4, 21, 16).getTime();
    const { container } = render(
      <p>
        <Amounts of={msg('bench.lateBy', { time: weekdayClock(at) })} />
        <Amounts of={msg('moulds.deleteAsk', { draft: 'Nested pot' })} />
      </p>,
    );
    expect([...container.querySelectorAll('strong')].map((one) => one.textContent)).toEqual(['Thu 16:00']);
  });
});

describe('the choice of a language', () => {
  it('calls each by its own name and marks the one that is read', () => {
    fakeServer({});
    renderScreen(<LanguageChoice />, '/', '/');
    expect(screen.getByLabelText('English')).toBeChecked();
    expect(screen.getByLabelText('Español')).not.toBeChecked();
  });
});

describe('a new tint', () => {
  it('begins on the palest cement, whatever the caster calls it', () => {
    const { store } = palette;
    const white = firstBase(palette)!.binderId;
    const renamed = store.materials.map((one) => (one.id === white ? { ...one, name: 'Cemento blanco' } : one));
    expect(firstBase({ ...palette, store: { ...store, materials: [...renamed].reverse() } })!.binderId).toBe(white);
  });
});
