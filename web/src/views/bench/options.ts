import { named as wordFor, say, t, type Message } from '../../messages/words';
import type { Kitchen } from '../../api/client';

type Options = ReturnType<typeof make>;

const made = new WeakMap<Kitchen, Options>();

/**
 * What the bench's lists offer. Made once for a kitchen: a list that is rebuilt at every key stroke is slow to draw.
 */
export function optionsOf(kitchen: Kitchen): Options {
  const there = made.get(kitchen);
  if (there) {
    return there;
  }
  const options = make(kitchen);
  made.set(kitchen, options);
  return options;
}

function make(kitchen: Kitchen) {
  const named = (rows: { id: string; name: string }[]) => rows.map(({ id, name }) => ({ value: id, label: name }));
  const labelled = <Id extends string>(rows: { id: Id; label: Message }[]) =>
    rows.map(({ id, label }) => ({ value: id, label: say(label) }));
  const jars = kitchen.jars.map((jar) => ({
    value: jar.id,
    label: t('bench.jar_free', { jar: jar.name, free: Math.max(0, jar.howMany - jar.inUse) }),
  }));

  return {
    foods: named(kitchen.ingredients),
    vegetables: named(kitchen.ingredients.filter((one) => one.use === 'vegetable')),
    bases: named(kitchen.ingredients),
    starters: kitchen.ingredients
      .filter((one) => one.use === 'starter')
      .map((one) => ({ value: `pantry:${one.id}`, label: one.name })),
    salts: named(kitchen.salts),
    methods: labelled(kitchen.methods),
    percentOf: labelled(kitchen.bases),
    cuts: kitchen.shapes.map((shape) => ({ value: shape, label: t(`shape.${shape}`) })),
    covers: kitchen.covers.map((value) => ({ value, label: wordFor('cover', value.replace(' ', '_')) })),
    holdDowns: kitchen.holdDowns.map((one) => ({ value: one.id, label: one.name })),
    jars,
    jarsOrNone: [...jars, { value: '', label: t('bench.no_jar_yet') }],
  };
}
