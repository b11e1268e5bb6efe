import { calculatorInputs, CALCULATOR_NAMES } from '@keen/contract';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeAll, describe, expect, it } from 'vitest';
import { textsOf, workOut } from '../../tools/toolInput.ts';
import { TOOLS } from '../../tools/tools.ts';
import { ToolView } from './ToolView.tsx';

// Charts measure the room they have, which the test's browser does not give.
beforeAll(() => {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});

const named = (name: string) => TOOLS.find((tool) => tool.name === name)!;

describe('the bench', () => {
  it('has a page for every calculator', () => {
    expect(TOOLS.map(({ name }) => name).toSorted()).toEqual([...CALCULATOR_NAMES].toSorted());
  });

  it.each(TOOLS.map((tool) => [tool.title, tool] as const))(
    '%s opens with an example that works, drawn with real numbers',
    (_title, tool) => {
      expect(calculatorInputs[tool.name].safeParse(tool.example).error).toBeUndefined();
      const { container } = render(<ToolView tool={tool} />);
      expect(screen.getByText(/^An example\./)).toBeVisible();
      expect(screen.queryByText(/No answer yet/)).toBeNull();
      expect(container.innerHTML).not.toMatch(/NaN|undefined|Infinity/);
    },
  );

  it('reads what was typed just as the example stands in the fields', () => {
    for (const tool of TOOLS) {
      const worked = workOut(tool, textsOf(tool.fields, tool.example));
      expect(worked.ok && worked.input, tool.name).toEqual(tool.example);
    }
  });

  it('answers while one types, inches as the hand writes them too', async () => {
    render(<ToolView tool={named('toeFromTape')} />);
    const type = async (label: RegExp, text: string) => {
      const field = screen.getByLabelText(label);
      await userEvent.clear(field);
      await userEvent.type(field, text);
    };
    await type(/Ahead/, '58 1/4');
    await type(/Behind/, '58 1/8');
    await type(/along the wheel/, '25');
    await userEvent.click(screen.getByRole('button', { name: 'inches' }));
    expect(screen.getByText('0.29° toe-out')).toBeVisible();
    expect(screen.getByText('Your numbers.')).toBeVisible();
    await userEvent.click(screen.getByRole('button', { name: 'Back to the example' }));
    expect(screen.getByText('0.27° toe-in')).toBeVisible();
  });

  it('marks what is wrong at its field and keeps what was typed', async () => {
    render(<ToolView tool={named('casterFromSwing')} />);
    const angle = screen.getByLabelText(/Turned by/);
    await userEvent.clear(angle);
    await userEvent.type(angle, 'abc');
    expect(angle).toHaveValue('abc');
    expect(angle).toHaveAccessibleDescription('A number, such as 8.5 or 39 3/8');
    expect(screen.getByText(/No answer yet/)).toBeVisible();
    await userEvent.clear(angle);
    await userEvent.type(angle, '0');
    expect(angle).toHaveAccessibleDescription('More than 0');
  });

  it('reads inches by their mark and threads per inch where millimetres are asked for', () => {
    const tool = named('tieRod');
    const typed = (texts: Record<string, string>) =>
      workOut(tool, { ...textsOf(tool.fields, tool.example), ...texts });
    const worked = typed({ steeringArm: '5 1/2 in', threadPitch: '16 TPI' });
    expect(worked.ok && worked.input).toMatchObject({ steeringArm: 139.7, threadPitch: 1.5875 });
    expect(typed({ steeringArm: '5.5"' }).ok).toBe(true);
    expect(typed({ steeringArm: '140 mm' }).ok && typed({ steeringArm: '140 mm' })).toMatchObject({
      input: { steeringArm: 140 },
    });
    const wrong = typed({ steeringArm: 'in', toeChange: '1 in' });
    expect(wrong.ok ? [] : Object.keys(wrong.faults)).toEqual(['toeChange', 'steeringArm']);
  });

  it('puts a fault of the geometry to the field that it comes from', () => {
    const tool = named('rideHeight');
    const worked = workOut(tool, { ...textsOf(tool.fields, tool.example), change: '-900' });
    expect(worked.ok ? {} : Object.keys(worked.faults)).toEqual(['points.lowerOuter']);
    const strings = named('toeFromStrings');
    const off = workOut(strings, {
      ...textsOf(strings.fields, strings.example),
      'wheels.lf.front': '900',
    });
    expect(off.ok ? {} : Object.keys(off.faults)).toEqual(['wheels.lf.front']);
  });

  it('leaves the floor out when nothing is said of it, and asks for the other half of a slope', () => {
    const tool = named('camberFromLevel');
    const example = textsOf(tool.fields, tool.example);
    const without = { ...example, 'floorSlope.high': '', 'floorSlope.degrees': '' };
    const worked = workOut(tool, without);
    expect(worked.ok && worked.output).toEqual({ camber: -1.5 });
    for (const half of ['floorSlope.high', 'floorSlope.degrees']) {
      const asked = workOut(tool, { ...example, [half]: '' });
      expect(asked.ok ? [] : Object.keys(asked.faults)).toEqual([half]);
    }
  });
});
