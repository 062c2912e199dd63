import { describe, expect, it } from 'vitest';
import { parseShorthand } from './parseShorthand.ts';
import { spokenShorthand, withSpoken } from './spokenShorthand.ts';

describe('what is said at the hive', () => {
  it.each([
    ['honey three capped bees eight', 'h3 c *8'],
    ['Honey 3, capped brood, bees 8. Next frame.', 'h3 c *8;'],
    ['mixed bees nine queen', 'm *9 q'],
    ['stores two and a half capped brood bees ate', 'h2.5 c *8'],
    ['next', ';'],
    ['next honey bees two', '; h *2'],
    ['capped the rest bees ten', 'c *10'],
    ['same as last time next as the frame before next same next not read', '"; =; =; -'],
    ['mixed bees nine two capped queen cells', 'm *9 k2c'],
    ['honey capped bees four queen cell', 'h c *4 k1u'],
    ['bees four capped queen cells', '*4 k1c'],
    ['mixed bees nine no queen cells', 'm *9'],
    ['mixed bees nine queen three charged cups', 'm *9 q k3j'],
    ['honey bees five next next same next skip', 'h *5; =; -'],
    ['honey bees five next box honey bees for', 'h *5 // h *4'],
    ['bee bread two open brood four sealed bees ten', 'b2 o4 c *10'],
    ['honey 2,5 capped bees 6.5', 'h2.5 c *6.5'],
    ['honey three banana', 'h3 banana'],
    ['', ''],
  ])('“%s” is written as %s', (said, line) => {
    expect(spokenShorthand(said)).toBe(line);
  });

  it('goes on where the last thing ended, and a frame ends where that is said', () => {
    const said = [
      'honey two capped bees nine',
      'next',
      'honey bees five',
      'next frame',
      'next mixed',
      'bees ten',
    ];
    expect(said.map(spokenShorthand).reduce(withSpoken, '')).toBe('h2 c *9; h *5; m *10');
    expect(withSpoken('', spokenShorthand('next honey'))).toBe('h');
  });

  it('is read as it would be if it had been typed', () => {
    const places = [1, 2, 3].map((slot) => ({ box: 1, slot, last: null }));
    const said = spokenShorthand(
      'honey three capped bees eight next mixed bees nine queen next empty bees two',
    );
    const spoken = parseShorthand(said, places);
    const typed = parseShorthand('h3 c *8; m *9 q; x *2', places);
    expect(spoken).toEqual(typed);
    expect(spoken.problems).toEqual([]);
  });
});
