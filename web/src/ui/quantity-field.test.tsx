import { useState } from 'react';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import { renderInside } from '../../test/stand-ins';
import { QuantityField } from './quantity-field';

function Field({ first }: { first?: number }) {
  const [value, setValue] = useState<number | undefined>(first);
  return (
    <>
      <QuantityField label="Height" name="height" dimension="length" value={value} onChange={setValue} />
      <output>{value ?? 'nothing'}</output>
    </>
  );
}

const field = () => screen.getByLabelText('Height');

describe('a quantity', () => {
  it.each([
    ['6 cm', '60', '60 mm'],
    ['2 1/2 in', '63.5', '63.5 mm'],
    ['180', '180', '180 mm'],
  ])('%s is %s mm and is written back as %s', async (typed, value, written) => {
    renderInside(<Field />);
    await userEvent.type(field(), typed);
    await userEvent.tab();
    expect(screen.getByRole('status')).toHaveTextContent(value);
    expect(field()).toHaveValue(written);
  });

  it('is shown in the workshop’s units', () => {
    renderInside(<Field first={63.5} />, { units: 'us' });
    expect(field()).toHaveValue('2.5 in');
  });

  it('that cannot be read stays as typed, says so by name, and leaves the value alone', async () => {
    renderInside(<Field first={180} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'tall');
    await userEvent.tab();
    expect(field()).toHaveValue('tall');
    expect(field()).toBeInvalid();
    expect(field()).toHaveAccessibleDescription(/“tall”/);
    expect(screen.getByRole('status')).toHaveTextContent('180');
    await userEvent.clear(field());
    await userEvent.type(field(), '90{Enter}');
    expect(field()).toBeValid();
    expect(screen.getByRole('status')).toHaveTextContent('90');
  });

  it('that is only looked at does not change', async () => {
    renderInside(<Field first={179.99999} />);
    await userEvent.click(field());
    await userEvent.tab();
    expect(screen.getByRole('status')).toHaveTextContent('179.99999');
  });
});
