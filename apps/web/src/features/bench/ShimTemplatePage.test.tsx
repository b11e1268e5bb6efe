import { render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { ShimTemplatePage } from './ShimTemplatePage.tsx';

const open = (query: string) =>
  render(
    <MemoryRouter initialEntries={[`/bench/shim-template${query}`]}>
      <ShimTemplatePage />
    </MemoryRouter>,
  );

describe('ShimTemplatePage', () => {
  it('draws the disc in millimetres, with its top, its face, and where it is thick', () => {
    open('?side=right&taper=1&clock=336&plate=RC+5&part=QT-100+D');
    const disc = screen.getByRole('img', { name: /right rear hub.*thickest at 11 o’clock/ });
    expect(disc).toHaveStyle({ width: '170mm', height: '200mm' });
    expect(disc).toHaveAttribute('viewBox', '0 0 170 200');
    for (const words of ['TOP, car on its wheels', 'right rear, this face out', '1° taper']) {
      expect(screen.getByText(words)).toBeVisible();
    }
    expect(screen.getByText('RC 5, QT-100 D')).toBeVisible();
    expect(screen.getByRole('alert')).toHaveTextContent('before the car is lifted');
    // The line of 50 mm is 50 of the drawing's units, which are millimetres.
    expect(disc.querySelector('path[d*="M60 175H110"]')).not.toBeNull();
  });

  it.each(['', '?side=left&taper=1', '?taper=1&clock=400', '?taper=x&clock=3'])(
    'says what is missing in %j',
    (query) => {
      open(query);
      expect(screen.getByRole('alert')).toHaveTextContent('No shim to draw');
    },
  );
});
