import type { Random } from '@jokulgale/core/world/random'
import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'

/** A hypothesis drawn by its prior, healthy included; surroundings are no fault of the unit. */
export function drawOne({ hypotheses, everySingle }: UnitModel, random: Random): number {
  const drawn = everySingle.filter((h) =>
    hypotheses[h].faults.every(({ class: sort }) => sort !== 'surroundings'),
  )
  let left = random() * drawn.reduce((sum, h) => sum + hypotheses[h].prior, 0)
  return drawn.find((h) => (left -= hypotheses[h].prior) < 0) ?? drawn[0]
}

/** Two faults of different parts that some reading can see, drawn by their priors. */
export function drawPair(model: UnitModel, classes: Int32Array, random: Random): number {
  const visible = (): number => {
    for (;;) {
      const h = drawOne(model, random)
      if (classes[h] !== classes[0]) return h
    }
  }
  for (;;) {
    const a = visible()
    const b = visible()
    if (model.hypotheses[a].of[0] !== model.hypotheses[b].of[0]) return model.pair(a, b)
  }
}
