import type { Random } from '@jokulgale/core/world/random'
import type { UnitModel } from '@jokulgale/core/diagnosis/predictor'

/** A hypothesis drawn by its prior, healthy included. */
export function drawOne({ hypotheses, singles }: UnitModel, random: Random): number {
  let left = random()
  for (let h = 0; h < singles - 1; h++) {
    left -= hypotheses[h].prior
    if (left < 0) return h
  }
  return singles - 1
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
