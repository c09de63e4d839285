import { configureStore } from '@reduxjs/toolkit';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Provider } from 'react-redux';
import { prefsSlice } from '../device/prefs-slice.js';
import { QuantityField } from './quantity-field.js';
import { quantityText } from './quantity-text.js';

function Form() {
  const [text, setText] = useState('');
  return <QuantityField label="Free water" dimension="volume" text={text} onText={setText} min={0} max={500} />;
}

test('echoes what it understood, refuses with an example, names the bound', async () => {
  const store = configureStore({ reducer: { prefs: prefsSlice.reducer } });
  render(
    <Provider store={store}>
      <Form />
    </Provider>,
  );
  const field = screen.getByLabelText('Free water');
  await userEvent.type(field, '2 tbsp');
  expect(screen.getByText('= 29.6 mL')).not.toBeNull();
  expect(field.getAttribute('aria-invalid')).toBe('false');
  await userEvent.clear(field);
  await userEvent.type(field, 'a cup');
  expect(screen.getByRole('alert').textContent).toBe(
    '“a cup” is not a number with a unit. Right would be 25 mL or 2 tbsp, for instance.',
  );
  expect(field.getAttribute('aria-describedby')).toBe(screen.getByRole('alert').id);
  await userEvent.clear(field);
  await userEvent.type(field, '0,6 L');
  expect(screen.getByRole('alert').textContent).toBe('“0,6 L” is too much. Right would be 500 mL or less.');
});

test('a volume is typed on the number pad with its unit beside; a tap on the unit brings the letters', async () => {
  const store = configureStore({ reducer: { prefs: prefsSlice.reducer } });
  render(
    <Provider store={store}>
      <Form />
      <QuantityField label="Trap" dimension="temperature" text="" onText={() => undefined} />
    </Provider>,
  );
  const field = screen.getByLabelText('Free water');
  // A trap is below zero, and the pad has no minus.
  expect(screen.getByLabelText('Trap').getAttribute('inputmode')).toBe('text');
  expect(field.getAttribute('inputmode')).toBe('decimal');
  await userEvent.click(screen.getByRole('button', { name: 'in mL, or type another unit' }));
  expect(field.getAttribute('inputmode')).toBe('text');
  expect(document.activeElement).toBe(field);
  await userEvent.type(field, '2 tbsp');
  // Its own unit is said: the other one would contradict it.
  expect(screen.queryByText('mL', { exact: true })).toBeNull();
});

test.each([
  [-41, '°F', '-41.8 °F'],
  [17.5, 'mL', '17.5 mL'],
  [1830, 'h', '30 h 30'],
  [null, 'mL', ''],
])('%s as a person would type it in %s', (value, unit, text) => {
  expect(quantityText(value, unit)).toBe(text);
});
