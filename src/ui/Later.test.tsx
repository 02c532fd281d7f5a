import { act, render, screen } from '@testing-library/react';
import { Later } from './Later';

describe('parts further down a page', () => {
  beforeEach(() => {
    jest.useFakeTimers();
  });
  afterEach(() => {
    jest.useRealTimers();
  });
  const turn = (): void =>
    act(() => {
      jest.advanceTimersByTime(1);
    });

  test('are built one after another, in their order', () => {
    render(
      <>
        <p>the verdict</p>
        <Later>
          <p>first</p>
        </Later>
        <Later>
          <p>second</p>
        </Later>
      </>,
    );
    expect(screen.getByText('the verdict')).toBeVisible();
    expect(screen.queryByText('first')).toBeNull();
    turn();
    expect(screen.getByText('first')).toBeVisible();
    expect(screen.queryByText('second')).toBeNull();
    turn();
    expect(screen.getByText('second')).toBeVisible();
  });

  test('that are gone before their turn keep nobody waiting', () => {
    const { rerender } = render(
      <>
        <Later key="a">
          <p>gone</p>
        </Later>
        <Later key="b">
          <p>stays</p>
        </Later>
      </>,
    );
    rerender(
      <Later key="b">
        <p>stays</p>
      </Later>,
    );
    turn();
    expect(screen.getByText('stays')).toBeVisible();
    rerender(
      <>
        <Later key="b">
          <p>stays</p>
        </Later>
        <Later key="c">
          <p>comes</p>
        </Later>
      </>,
    );
    turn();
    expect(screen.getByText('comes')).toBeVisible();
  });

  test('once built stay, with what is new in them', () => {
    const { rerender } = render(
      <Later>
        <p>old</p>
      </Later>,
    );
    turn();
    rerender(
      <Later>
        <p>new</p>
      </Later>,
    );
    expect(screen.getByText('new')).toBeVisible();
  });

  test('a browser that knows its own leisure is left to choose it, within a fifth of a second', () => {
    const idle = jest.fn();
    Object.assign(globalThis, { requestIdleCallback: idle });
    try {
      render(
        <Later>
          <p>idle</p>
        </Later>,
      );
      expect(idle).toHaveBeenCalledWith(expect.any(Function), { timeout: 200 });
      expect(screen.queryByText('idle')).toBeNull();
      act(() => idle.mock.calls[0][0]());
      expect(screen.getByText('idle')).toBeVisible();
    } finally {
      Reflect.deleteProperty(globalThis, 'requestIdleCallback');
    }
  });
});
