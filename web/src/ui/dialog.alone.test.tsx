import { screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { fakeServer, renderScreen } from '../../test/fake-server';
import { session } from '../../test/stand-ins';
import { hasLanguage } from './catalogues';
import { Dialog } from './dialog';

it('a dialog shows what it asks once all of its sentences are here', async () => {
  expect(hasLanguage('en')).toBe(true);
  expect(hasLanguage('es')).toBe(false);
  const spanish = { ...session, person: { ...session.person, language: 'es' as const } };
  fakeServer({ session: spanish });
  renderScreen(
    <Dialog title="Pesar" onClose={() => undefined}>
      <p>what it asks</p>
    </Dialog>,
    '/here',
    '/here',
    spanish,
  );
  expect(screen.getByRole('dialog')).toBeVisible();
  expect(screen.queryByText('what it asks')).toBeNull();
  expect(await screen.findByText('what it asks')).toBeVisible();
  expect(hasLanguage('es')).toBe(true);
});
