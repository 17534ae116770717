import type { Page } from '@playwright/test';

/** What can be pressed or moved and is in sight, as it is found in the page. */
const IN_SIGHT = `
  const LEAST = 24 - 0.1;
  const sought = 'button, a[href], input:not([type=hidden]), select, textarea, summary, [role=button], [role=slider], [role=tab], [role=checkbox], [role=option], [role=menuitem], [role=switch]';
  const boxOf = (one) => {
    const own = one.getBoundingClientRect();
    const label = one.matches('input[type=checkbox], input[type=radio]') && one.labels?.[0]?.getBoundingClientRect();
    if (!label) return own;
    const [x, y] = [Math.min(own.left, label.left), Math.min(own.top, label.top)];
    return new DOMRect(x, y, Math.max(own.right, label.right) - x, Math.max(own.bottom, label.bottom) - y);
  };
  const middle = (box) => [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const isClipped = (one, [x, y]) => {
    if (x < 0 || y < 0 || x >= innerWidth || y >= innerHeight) return true;
    for (let up = one.parentElement; up; up = up.parentElement) {
      if (getComputedStyle(up).overflow === 'visible') continue;
      const box = up.getBoundingClientRect();
      if (x < box.left || x > box.right || y < box.top || y > box.bottom) return true;
    }
    return false;
  };
  const all = [...document.querySelectorAll(sought)]
    .filter((one) => {
      const style = getComputedStyle(one);
      const box = one.getBoundingClientRect();
      return one.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && !one.disabled &&
        box.width > 1 && box.height > 1 && style.pointerEvents !== 'none';
    })
    .map((one) => ({ one, box: boxOf(one) }))
    .filter(({ one, box }) => !isClipped(one, middle(box)));
  const named = ({ one, box }) =>
    one.tagName.toLowerCase() + ' "' + (one.getAttribute('aria-label') ?? one.textContent).trim().slice(0, 40) + '" ' +
    Math.round(box.width) + ' × ' + Math.round(box.height);
`;

/**
 * Targets that are smaller than 24 CSS px where another is near, by WCAG 2.2's rule 2.5.8: a circle of 24 px round the
 * middle of one that is smaller may meet no other target and no such circle. Links within a sentence are exempt, and so
 * is what stands where its value is and can be set elsewhere too: points of a curve by fields, pegs by tracks.
 */
export const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(`(() => { ${IN_SIGHT}
    const isSmall = ({ box }) => box.width < LEAST || box.height < LEAST;
    const isExempt = ({ one }) =>
      (one.tagName === 'A' && getComputedStyle(one).display === 'inline' &&
        [...one.parentElement.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim().length > 1)) ||
      one.closest('svg, [data-set-elsewhere]') !== null;
    return all.filter((at) => isSmall(at) && !isExempt(at)).flatMap((at) => {
      const [x, y] = middle(at.box);
      const near = all.find((other) => {
        if (other.one === at.one || other.one.contains(at.one) || at.one.contains(other.one)) return false;
        if (isSmall(other)) return Math.hypot(x - middle(other.box)[0], y - middle(other.box)[1]) < LEAST;
        const { left, right, top, bottom } = other.box;
        return Math.hypot(Math.max(left - x, 0, x - right), Math.max(top - y, 0, y - bottom)) < LEAST / 2;
      });
      return near ? [named(at) + ' beside ' + named(near)] : [];
    });
  })()`) as Promise<string[]>;

/**
 * Targets that something else lies on, so that a press in their middle does not reach them; but for what stands where its
 * value is and can be set elsewhere too.
 */
export const coveredTargets = (page: Page): Promise<string[]> =>
  page.evaluate(`(() => { ${IN_SIGHT}
    return all.filter(({ one }) => !one.closest('[data-set-elsewhere]')).flatMap((at) => {
      const own = at.one.getBoundingClientRect();
      const top = document.elementFromPoint(...middle(own));
      const isOwn = top && (at.one.contains(top) || top.contains(at.one) || [...(at.one.labels ?? [])].some((label) => label.contains(top)));
      return isOwn ? [] : [named(at) + ' under ' + (top ? named({ one: top, box: top.getBoundingClientRect() }) : 'nothing')];
    });
  })()`) as Promise<string[]>;
