// How many sheets another packer takes, which need not cut right through: the best of its own orders and rules for each list. Reads
// lists from the standard input as JSON, [{width, pieces: [[x, y], …]}, …], and prints their sheets in the same order.
import { readFileSync } from 'node:fs'
// What the package names as its main file is none for its own type of module.
import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer/dist/maxrects-packer.mjs'

const orders = [
  null,
  ([x, y]) => -x * y,
  ([x]) => -x,
  ([, y]) => -y,
  ([x, y]) => -Math.max(x, y),
  ([x, y]) => -(x + y),
]

function sheets(width, pieces, order, logic) {
  const packer = new MaxRectsPacker(width, width, 0, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: false,
    logic,
  })
  const rectangles = (order === null ? pieces : [...pieces].sort((a, b) => order(a) - order(b))).map(
    ([x, y]) => ({ width: x, height: y }),
  )
  // Without an order of ours it sorts them itself.
  if (order === null) packer.addArray(rectangles)
  else for (const one of rectangles) packer.add(one.width, one.height, {})
  return packer.bins.length
}

const lists = JSON.parse(readFileSync(0, 'utf8'))
console.log(
  JSON.stringify(
    lists.map(({ width, pieces }) =>
      Math.min(
        ...orders.flatMap((order) =>
          [PACKING_LOGIC.MAX_AREA, PACKING_LOGIC.MAX_EDGE].map((logic) =>
            sheets(width, pieces, order, logic),
          ),
        ),
      ),
    ),
  ),
)
