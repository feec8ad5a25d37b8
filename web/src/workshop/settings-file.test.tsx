import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { WorkshopSettings } from '@dewpot/contract';
import { fakeServer, Refusal, renderScreen } from '../../test/fake-server';
import { session } from '../../test/stand-ins';
import { SettingsAsFile } from './settings-as-file';
import { differing, readSettingsFile, settingsFile } from './settings-file';

const { id: _, demo: __, ...settings } = session.workshop;
const here: WorkshopSettings = { ...settings, ballastSandId: 'sand', setUp: true };
const fileOf = (content: unknown) => new File([typeof content === 'string' ? content : JSON.stringify(content)], 'settings.json'); // prettier-ignore

describe('a file of settings', () => {
  it('comes in as it went out, without what is of one workshop alone', async () => {
    const text = settingsFile(here);
    expect(text).not.toMatch(/sand|Quince|version": 1,\n {4}/);
    const read = await readSettingsFile(fileOf(text));
    expect(read).toMatchObject({ units: here.units, liftLimit: here.liftLimit });
    expect(differing(read as never, here)).toBe(0);
    expect(differing(read as never, { ...here, liftLimit: 9000, name: 'Other' })).toBe(1);
  });

  it('of another kind, another version, too long or broken is not read', async () => {
    expect(await readSettingsFile(fileOf('{'))).toBe('none');
    expect(await readSettingsFile(fileOf('null'))).toBe('none');
    expect(await readSettingsFile(fileOf({ format: 'dew-pot-tints', version: 1, settings: {} }))).toBe('none');
    expect(await readSettingsFile(fileOf({ format: 'dew-pot-settings', version: 2, settings: {} }))).toBe('version');
    expect(await readSettingsFile(fileOf('x'.repeat(64_001)))).toBe('large');
  });

  it('says how many settings differ before any is taken over, and what the server refuses', async () => {
    const errors = [{ field: 'liftLimit', value: 1, message: 'must be at least 1000', remedy: 'Give more.' }];
    const refusal = new Refusal({ status: 422, title: 'Not saved', detail: '', errors });
    const sent = fakeServer({ 'PUT workshop': refusal });
    renderScreen(<SettingsAsFile />);
    const input = screen.getByLabelText('Settings as a file', { selector: 'input' });
    await userEvent.upload(input, fileOf('{'));
    expect(await screen.findByRole('alert')).toHaveTextContent('This is no such file of Dew Pot’s');
    await userEvent.upload(input, fileOf(settingsFile(here)));
    expect(await screen.findByText(/is so here already/)).toBeVisible();
    await userEvent.upload(input, fileOf(settingsFile({ ...here, liftLimit: 1 })));
    expect(await screen.findByText('One setting differs.')).toBeVisible();
    expect(sent).toEqual([]);
    await userEvent.click(screen.getByRole('button', { name: 'Take them over' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'PUT', path: 'workshop', body: { liftLimit: 1, name: here.name, version: 1 } })); // prettier-ignore
    expect(await screen.findByText(/must be at least 1000/)).toBeVisible();
  });
});
