import { usageOf } from '../document/coherence/role-use.ts';
import type { ChoicesOf } from '../document/delivery/forms.ts';
import { writeRoleName } from '../document/naming/role-name.ts';
import { opposite, otherScheme, schemeOf } from '../system/delivery/schemes.ts';
import { gradientCss } from '../system/gradients/gradient-css.ts';
import { hasColors, type ResolvedGradient } from '../system/gradients/resolved-gradient.ts';
import type { ResolvedTheme, System } from '../system/resolve.ts';
import { type Code, codeOf } from './codes.ts';
import { type Block, comment, type Declaration } from './css-blocks.ts';
import { type CssNames, isSpelled, uniqueNames } from './css-names.ts';
import { gradientRemark, roleRemark } from './css-remarks.ts';
import { themeRules } from './css-themes.ts';
import {
  colorValue,
  type GradientValue,
  gradientValue,
  plainGradient,
  type ValueStyle,
} from './css-values.ts';

/** Said behind the custom property of a base, which is read back by it. */
export const BASE_REMARK = 'the base itself';

/** A system as rules with custom properties, under whatever names. */
export class CssSheet {
  readonly system: System;
  readonly choices: ChoicesOf<'css'>;
  readonly names: CssNames;
  private readonly told = new Set<string>();
  /** Colours in hex, and over them in the wider notation where one is asked for that older browsers do not know. */
  private readonly base: ValueStyle;
  private readonly wide: ValueStyle | null;

  /** `direct` writes every notation as it is asked for, without one before it for older browsers. */
  constructor(system: System, choices: ChoicesOf<'css'>, names: CssNames, direct = false) {
    this.system = system;
    this.choices = choices;
    this.names = names;
    const isWide = choices.code === 'oklch' && !direct;
    const code: Code = isWide ? 'hex' : choices.code;
    this.base = { links: choices.roles === 'linked' ? names : null, code };
    this.wide = isWide ? { ...this.base, code: 'oklch' } : null;
  }

  /** What a custom property stands for is said where it comes first: its name alone does not tell groups apart. */
  private said(name: string, written: string): { remark?: string } {
    if (this.told.has(name)) return {};
    this.told.add(name);
    return { remark: written };
  }

  shades(): Block {
    const { names, system, choices } = this;
    const declarations: Declaration[] = [];
    const parts = new Map<number, string>();
    for (const { family, shades } of system.families.values()) {
      const base = shades.find(({ isBase }) => isBase);
      parts.set(declarations.length, `${family.name}${base ? `, grown from ${base.label}` : ''}`);
      for (const shade of shades) {
        const property = names.shade(family.id, shade.label);
        declarations.push({
          property,
          value: codeOf(shade, this.base.code),
          ...(this.wide ? { wider: codeOf(shade, this.wide.code) } : {}),
          // A label that its custom property does not spell is said.
          ...(isSpelled(property, choices.prefix, family.name, shade.label) ? {} : { remark: shade.label }),
        });
      }
      const own = this.base.links ? names.baseProperty(family.id) : null;
      if (own && base)
        declarations.push({
          property: own,
          value: `var(${names.shade(family.id, base.label)})`,
          remark: BASE_REMARK,
        });
    }
    return { selectors: [':root'], declarations, parts };
  }

  private gradient(resolved: ResolvedGradient, style = this.base): GradientValue | null {
    return gradientValue(resolved, this.choices.gradients, style);
  }

  /** What a role comes to in a theme, linked or as it is; null where it comes to nothing. */
  private role(theme: ResolvedTheme, id: string): Omit<Declaration, 'property'> | null {
    const { link, color, gradient } = theme.roles.get(id)!;
    if (!link) return null;
    if (link.to === 'gradient' || gradient) {
      const painted = gradient && theme.gradients.get(gradient);
      if (!painted || !hasColors(painted)) return null;
      if (this.base.links)
        return {
          value: `var(${link.to === 'role' ? this.names.role(link.role) : this.names.gradient(gradient)})`,
        };
      return this.gradientDeclaration(painted)!;
    }
    if (!color) return null;
    const value = colorValue(color, link, this.base);
    return { value, ...(this.wide ? { wider: colorValue(color, link, this.wide) } : {}) };
  }

  private gradientDeclaration(
    resolved: ResolvedGradient,
    own = this.gradient(resolved),
  ): Omit<Declaration, 'property'> | null {
    if (!own) return null;
    const wider = this.wide && !own.isPlain ? this.gradient(resolved, this.wide)?.value : undefined;
    return {
      value: own.value,
      ...(own.mixed ? { mixed: own.mixed } : {}),
      ...(wider ? { wider } : {}),
    };
  }

  /** All roles and gradients of a theme. */
  theme(theme: ResolvedTheme): Declaration[] {
    const { document } = this.system;
    const out: Declaration[] = document.roles.map((role) => {
      const property = this.names.role(role.id);
      const written = writeRoleName(role);
      const value = this.role(theme, role.id);
      if (value) return { property, ...value, ...this.said(property, roleRemark(role)) };
      const { problem } = theme.roles.get(role.id)!;
      return { property, value: 'initial', remark: `${written}: ${problem ?? 'no value'}` };
    });
    for (const resolved of theme.gradients.values()) {
      const { id, name } = resolved.gradient;
      const property = this.names.gradient(id);
      const own = this.gradient(resolved);
      const value = this.gradientDeclaration(resolved, own);
      const remark = gradientRemark(name, own?.isPlain ?? false);
      out.push(
        value
          ? { property, ...value, ...this.said(property, remark) }
          : { property, value: 'initial', remark: `${name}: fewer than two of its stops have a colour` },
      );
    }
    return out;
  }

  /** The rules of all themes. */
  themes(): Block[] {
    const { rules, unreached } = themeRules(this.system, this.names, this.choices);
    const blocks = rules.map(({ theme, heading, selectors, media }): Block => {
      const declarations = this.theme(theme);
      return { heading, selectors, ...(media ? { media } : {}), declarations };
    });
    if (this.choices.themes === 'function') this.joinSchemes(blocks);
    if (unreached.length && blocks[0])
      blocks[0] = {
        ...blocks[0],
        heading: `${blocks[0].heading}. Not in this file, since nothing asks for them: ${unreached.map(({ theme }) => theme.name).join(', ')}`,
      };
    return blocks;
  }

  /** Puts the theme of the other scheme beside the first by `light-dark()`; what is no colour follows in a media query. */
  private joinSchemes(blocks: Block[]): void {
    const [first] = this.system.themes.values();
    const second = otherScheme(this.system, this.choices.other);
    if (!first || !second || !blocks[0]) return;
    const own = schemeOf(this.system, first);
    const beside = this.theme(second);
    const apart: Declaration[] = [];
    const declarations = blocks[0].declarations.map((one, i) => {
      const other = beside[i]!;
      if (one.value === other.value && one.wider === other.wider) return one;
      const isColor = [one, other].every(({ value }) => value !== 'initial' && !isImage(value));
      if (!isColor || this.paintsImage(one.property)) {
        apart.push(other);
        return one;
      }
      const join = (a: string, b: string) =>
        own === 'light' ? `light-dark(${a}, ${b})` : `light-dark(${b}, ${a})`;
      return {
        ...one,
        value: join(one.value, other.value),
        ...(one.wider && other.wider ? { wider: join(one.wider, other.wider) } : {}),
      };
    });
    blocks[0] = {
      ...blocks[0],
      heading: `${first.theme.name} and ${second.theme.name}`,
      declarations: [{ property: 'color-scheme', value: 'light dark' }, ...declarations],
    };
    if (apart.length)
      blocks.splice(1, 0, {
        heading: `${second.theme.name}: what is no colour`,
        selectors: [':root'],
        media: `@media (prefers-color-scheme: ${opposite(own)})`,
        declarations: apart,
      });
  }

  /** Whether a property is that of a role that a gradient paints in some theme. */
  private paintsImage(property: string): boolean {
    return this.imageRoles.has(property);
  }

  private readonly imagesByNeed: { set?: ReadonlySet<string> } = {};
  private get imageRoles(): ReadonlySet<string> {
    this.imagesByNeed.set ??= new Set(
      this.system.document.roles
        .filter(({ id }) => [...this.system.themes.values()].some((theme) => theme.roles.get(id)?.gradient))
        .map(({ id }) => this.names.role(id)),
    );
    return this.imagesByNeed.set;
  }

  /** Every property registered with its syntax, so that it can be animated and a wrong value falls back. */
  registered(): string[] {
    const { system, names, choices } = this;
    const [first] = system.themes.values();
    const out: string[] = [];
    const register = (property: string, syntax: string, initial: string) =>
      out.push(
        choices.text === 'small'
          ? `@property ${property}{syntax:"${syntax}";inherits:true;initial-value:${initial}}`
          : `@property ${property} {\n  syntax: "${syntax}";\n  inherits: true;\n  initial-value: ${initial};\n}`,
      );
    for (const { family, shades } of system.families.values()) {
      for (const shade of shades)
        register(names.shade(family.id, shade.label), '<color>', codeOf(shade, 'hex'));
    }
    for (const role of system.document.roles) {
      const painted = [...system.themes.values()].map((theme) => theme.roles.get(role.id)!);
      const color = first && first.roles.get(role.id)!.color;
      // What has no colour somewhere is taken back there, which a registered property cannot be.
      if (color && painted.every((one) => one.color && !one.gradient))
        register(names.role(role.id), '<color>', codeOf(color, 'hex'));
    }
    for (const resolved of first?.gradients.values() ?? []) {
      const { id } = resolved.gradient;
      const everywhere = [...system.themes.values()].every((theme) => hasColors(theme.gradients.get(id)!));
      const initial = everywhere && (plainGradient(resolved) ?? gradientCss(resolved));
      if (initial) register(names.gradient(id), '<image>', initial);
    }
    return out;
  }

  /** A class for each role, by what it paints. */
  classes(): string[] {
    const unique = uniqueNames();
    const rules = this.system.document.roles.flatMap((role) => {
      const property = this.names.role(role.id);
      const use = usageOf(role, this.system.document.pairs);
      const [kind, css] =
        use === 'text'
          ? ['text', 'color']
          : use === 'line'
            ? ['line', 'border-color']
            : use === 'ring'
              ? ['ring', 'outline-color']
              : ['ground', 'background'];
      const start = this.choices.prefix ? `${this.choices.prefix}-` : '';
      const own = property.slice(2 + start.length);
      const name = unique(start + (own.startsWith(`${kind}-`) || own === kind ? own : `${kind}-${own}`));
      return this.choices.text === 'small'
        ? `.${name}{${css}:var(${property})}`
        : `.${name} {\n  ${css}: var(${property});\n}`;
    });
    if (!rules.length) return [];
    if (this.choices.text === 'small') return [rules.join('')];
    return [
      `${this.choices.text === 'comments' ? `${comment('Classes by what a role paints')}\n` : ''}${rules.join('\n')}`,
    ];
  }
}

const isImage = (value: string) => value.includes('-gradient(');
