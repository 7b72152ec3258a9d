import {
  BufferAttribute,
  BufferGeometry,
  Color,
  ColorManagement,
  DoubleSide,
  EdgesGeometry,
  Group,
  LinearSRGBColorSpace,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshStandardMaterial,
  PerspectiveCamera,
  Quaternion,
  Raycaster,
  Scene,
  Vector2,
  Vector3,
  WebGLRenderer,
  WebGLRenderTarget,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import { Pace } from './pace'
import { FullScreenQuad } from 'three/examples/jsm/postprocessing/Pass.js'
import type { Place, Round, RoundPiece, SolidParts } from './types'

/** Colours are those of the page as they are: nothing is lit, so nothing is reckoned with in light. */
ColorManagement.enabled = false

/** Metres, y up, as three and glTF have it; places come in mm with z up. */
const vector = ([x, y, z]: readonly [number, number, number]) => new Vector3(x / 1000, z / 1000, -y / 1000)

/** Back again, so many to a metre. */
const place = ({ x, y, z }: Vector3, scale: number): Place => [x * scale, -z * scale, y * scale]

export interface Colours {
  paper: string
  ink: string
  birch: string
  face: string
  back: string
  chalk: string
  wall: string
}

/** Pixels of the picture to one of the page, where nothing moves. */
const STILL = Math.min(2, devicePixelRatio)

/** After so many milliseconds without a frame the furniture stands still. */
const RESTS_AFTER = 150

/** Faces lie a hair deeper than they are, so that the edges on them are never half hidden. */
const BEHIND_EDGES = { polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 2 }

/** How bright a face is, of which its light falls in at an angle with this cosine. */
const shade = (cosine: number): number => 0.86 + (cosine > 0 ? 0.14 : 0.06) * cosine

/** What one piece is in the two shared buffers. */
interface Part {
  piece: RoundPiece
  from: number
  count: number
  linesFrom: number
  linesCount: number
}

/** Triangles of convex parts as a flat list of places, each seen from outside turning to the left: only that side is drawn. */
function triangles(solid: SolidParts): Vector3[] {
  return solid.flatMap((part) => {
    const at = part.at.map(vector)
    const middle = at.reduce((sum, corner) => sum.add(corner), new Vector3()).divideScalar(at.length)
    return part.faces.flatMap((face) => {
      const corners = face.map((corner) => at[corner] ?? middle)
      return corners.slice(2).flatMap((last, i) => {
        const [first, next] = [corners[0] ?? middle, corners[i + 1] ?? middle]
        const looks = next.clone().sub(first).cross(last.clone().sub(first))
        return looks.dot(first.clone().sub(middle)) < 0 ? [first, last, next] : [first, next, last]
      })
    })
  })
}

function geometryOf(solid: SolidParts): BufferGeometry {
  const geometry = new BufferGeometry().setFromPoints(triangles(solid))
  geometry.computeVertexNormals()
  return geometry
}

/** Along both faces of a plate, and from face to face where its outline turns by more than 20°. */
function ringLines(rings: RoundPiece['outline']): Float32Array {
  const lines: Vector3[] = []
  for (const [first, second] of rings) {
    const faces = [first.map(vector), second.map(vector)] as const
    for (const [i, at] of faces[0].entries()) {
      const [next, before] = [(i + 1) % first.length, (i + first.length - 1) % first.length]
      for (const face of faces) lines.push(face[i]!, face[next]!)
      const into = at.clone().sub(faces[0][before]!)
      if (into.angleTo(faces[0][next]!.clone().sub(at)) > Math.PI / 9) lines.push(at, faces[1][i]!)
    }
  }
  return new Float32Array(lines.flatMap((at) => at.toArray()))
}

/** Where the lines of a piece run: along the edges of its solid, or of its outline. */
function edgesOf(piece: RoundPiece, geometry: BufferGeometry): ArrayLike<number> {
  if (piece.outline.length > 0) return ringLines(piece.outline)
  const outline = new EdgesGeometry(geometry, 20)
  const places = outline.getAttribute('position').array
  outline.dispose()
  return places
}

/**
 * The furniture in its room. All pieces share one mesh and one set of edges, whose places are written anew when something
 * opens, comes apart or is hidden: two calls to the renderer, however many there are. It draws only when something changes.
 */
export class Stage {
  private readonly renderer: WebGLRenderer
  private readonly scene = new Scene()
  private readonly camera = new PerspectiveCamera(38, 1, 0.05, 60)
  private readonly controls: OrbitControls
  private parts: Part[] = []
  private rest = new Float32Array()
  private restLines = new Float32Array()
  private normals = new Float32Array()
  private body: Mesh<BufferGeometry, MeshBasicMaterial> | null = null
  private lines: LineSegments<BufferGeometry, LineBasicMaterial> | null = null
  private room = new Group()
  private isAsked = false
  private rests: ReturnType<typeof setTimeout> | undefined
  private readonly pace = new Pace(STILL)
  private readonly smooth = new WebGLRenderTarget(1, 1, { samples: 4 })
  private readonly screen = new FullScreenQuad(new MeshBasicMaterial({ map: this.smooth.texture }))
  private round: Round | null = null
  private state = { open: 0, apart: 0, exaggeration: 1, walls: true }
  private hidden = new Set<string>()
  private selected = new Set<string>()

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly colours: Colours,
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: false, preserveDrawingBuffer: true })
    this.renderer.outputColorSpace = LinearSRGBColorSpace
    this.scene.background = new Color(colours.paper)
    this.scene.add(this.room)
    this.controls = new OrbitControls(this.camera, canvas)
    this.controls.enableDamping = false
    this.controls.addEventListener('change', () => this.ask())
  }

  /** Drawn with the next frame, once, however often it is asked for. */
  private ask(): void {
    if (this.isAsked) return
    this.isAsked = true
    requestAnimationFrame((now) => {
      this.isAsked = false
      this.draw(this.pace.next(now))
      clearTimeout(this.rests)
      this.rests = setTimeout(() => this.drawStill(), RESTS_AFTER)
    })
  }

  private draw(sharpness: number): void {
    if (this.renderer.getPixelRatio() !== sharpness) this.renderer.setPixelRatio(sharpness)
    this.renderer.render(this.scene, this.camera)
  }

  /** As sharp as the screen, and with smooth edges: there is time now. */
  private drawStill(): void {
    if (this.renderer.getPixelRatio() !== STILL) this.renderer.setPixelRatio(STILL)
    const { x, y } = this.renderer.getDrawingBufferSize(new Vector2())
    this.smooth.setSize(x, y)
    this.renderer.setRenderTarget(this.smooth)
    this.renderer.render(this.scene, this.camera)
    this.renderer.setRenderTarget(null)
    this.screen.render(this.renderer)
  }

  resize(width: number, height: number): void {
    this.renderer.setSize(width, height, false)
    this.camera.aspect = width / Math.max(1, height)
    this.camera.updateProjectionMatrix()
    this.ask()
  }

  /** Seen from where it was seen before; the first time from the front. */
  show(round: Round): void {
    const isFirst = this.round === null
    this.round = round
    this.build(round)
    this.buildRoom()
    this.place()
    if (isFirst) this.look()
  }

  /** From the front and a little from the right and above, everything in sight. */
  look(): void {
    const geometry = this.body?.geometry
    if (!geometry) return
    geometry.computeBoundingBox()
    const around = geometry.boundingBox
    if (!around) return
    const wall = this.front()
    const right = new Vector3().crossVectors(new Vector3(0, 1, 0), wall)
    const size = around.getSize(new Vector3())
    const [wide, deep] = [Math.max(size.x, size.z), Math.min(size.x, size.z)]
    const half = Math.max(size.y, (wide + deep / 2) / this.camera.aspect) / 2
    const far = (1.25 * half) / Math.tan((this.camera.fov * Math.PI) / 360) + deep
    const middle = around.getCenter(new Vector3())
    const from = wall
      .clone()
      .multiplyScalar(far * 0.86)
      .addScaledVector(right, far * 0.42)
      .add(new Vector3(0, far * 0.3, 0))
    this.controls.target.copy(middle)
    this.camera.position.copy(middle).add(from)
    this.controls.update()
    this.ask()
  }

  /** Which way the furniture faces: as its movements go, or its faces lie off the middle of its pieces. */
  private front(): Vector3 {
    const middle = new Vector3()
    const faces = new Vector3()
    let count = 0
    for (const { piece } of this.parts) {
      const at = vector(piece.solid[0]?.at[0] ?? [0, 0, 0])
      middle.add(at)
      if (piece.part === 'face') {
        faces.add(at)
        count++
      }
    }
    if (count === 0) return new Vector3(0, 0, 1)
    const way = faces.divideScalar(count).sub(middle.divideScalar(this.parts.length))
    way.y = 0
    return Math.abs(way.x) > Math.abs(way.z)
      ? new Vector3(Math.sign(way.x), 0, 0)
      : new Vector3(0, 0, Math.sign(way.z) || 1)
  }

  private build(round: Round): void {
    this.body?.geometry.dispose()
    this.lines?.geometry.dispose()
    if (this.body) this.scene.remove(this.body)
    if (this.lines) this.scene.remove(this.lines)
    const places: number[] = []
    const normals: number[] = []
    const edges: number[] = []
    this.parts = round.pieces.map((piece) => {
      const geometry = geometryOf(piece.solid)
      const outline = edgesOf(piece, geometry)
      const part = {
        piece,
        from: places.length / 3,
        count: geometry.getAttribute('position').count,
        linesFrom: edges.length / 3,
        linesCount: outline.length / 3,
      }
      places.push(...geometry.getAttribute('position').array)
      normals.push(...geometry.getAttribute('normal').array)
      edges.push(...Array.from(outline))
      geometry.dispose()
      return part
    })
    this.rest = new Float32Array(places)
    this.restLines = new Float32Array(edges)
    const geometry = new BufferGeometry()
    geometry.setAttribute('position', new BufferAttribute(this.rest.slice(), 3))
    this.normals = new Float32Array(normals)
    geometry.setAttribute('color', new BufferAttribute(new Float32Array(places.length), 3))
    this.body = new Mesh(geometry, new MeshBasicMaterial({ vertexColors: true, ...BEHIND_EDGES }))
    const outline = new BufferGeometry()
    outline.setAttribute('position', new BufferAttribute(this.restLines.slice(), 3))
    this.lines = new LineSegments(outline, new LineBasicMaterial({ color: this.colours.ink }))
    this.scene.add(this.body, this.lines)
    this.paint()
  }

  private buildRoom(): void {
    this.room.clear()
    const round = this.round
    if (!round) return
    const glass = new MeshBasicMaterial({
      color: this.colours.wall,
      transparent: true,
      opacity: 0.16,
      side: DoubleSide,
      depthWrite: false,
    })
    const edge = new LineBasicMaterial({ color: this.colours.ink, transparent: true, opacity: 0.45 })
    const more = this.state.exaggeration - 1
    const surface = (geometry: BufferGeometry) => {
      this.room.add(new Mesh(geometry, glass), new LineSegments(new EdgesGeometry(geometry, 1), edge))
    }
    for (const wall of round.walls) {
      const at = wall.grid.map((station) =>
        station.map(([x, y, z, dx, dy]) => vector([x + more * dx, y + more * dy, z])),
      )
      const points = at.slice(1).flatMap((next, i) =>
        next.slice(1).flatMap((corner, k) => {
          const [a, b, c] = [at[i]?.[k], next[k], at[i]?.[k + 1]]
          return a && b && c ? [a, b, corner, a, corner, c] : []
        }),
      )
      surface(new BufferGeometry().setFromPoints(points))
    }
    const fan = (points: [number, number, number][]) =>
      points
        .slice(2)
        .flatMap((last, i) => [points[0] ?? last, points[i + 1] ?? last, last])
        .map(vector)
    surface(new BufferGeometry().setFromPoints(fan(round.floor)))
    const things = new MeshBasicMaterial({ color: this.colours.chalk, transparent: true, opacity: 0.5 })
    for (const thing of round.things) this.room.add(new Mesh(geometryOf(thing.solid), things))
    this.room.visible = this.state.walls
  }

  set(state: Partial<typeof this.state>): void {
    const before = this.state.exaggeration
    Object.assign(this.state, state)
    if (this.state.exaggeration !== before) this.buildRoom()
    this.room.visible = this.state.walls
    this.place()
  }

  hide(keys: Iterable<string>): void {
    this.hidden = new Set(keys)
    this.place()
  }

  /** Pieces that are told apart from the others. */
  mark(keys: Iterable<string>): void {
    this.selected = new Set(keys)
    this.paint()
    this.ask()
  }

  private paint(): void {
    const colours = this.body?.geometry.getAttribute('color')
    if (!(colours instanceof BufferAttribute)) return
    const plain = {
      face: new Color(this.colours.face),
      back: new Color(this.colours.back),
      other: new Color(this.colours.birch),
    }
    const chosen = new Color(this.colours.chalk)
    // The light is the furniture's own, from above and before it: painted once, it costs nothing while it turns.
    const sun = this.front()
      .multiplyScalar(0.55)
      .add(new Vector3(0, 0.8, 0))
    sun.add(new Vector3().crossVectors(new Vector3(0, 1, 0), sun).multiplyScalar(0.6)).normalize()
    const looks = new Vector3()
    for (const part of this.parts) {
      const colour = this.selected.has(part.piece.key)
        ? chosen
        : part.piece.part === 'face'
          ? plain.face
          : part.piece.part === 'back'
            ? plain.back
            : plain.other
      for (let i = part.from; i < part.from + part.count; i++) {
        const light = shade(looks.fromArray(this.normals, 3 * i).dot(sun))
        colours.setXYZ(i, light * colour.r, light * colour.g, light * colour.b)
      }
    }
    colours.needsUpdate = true
  }

  /** Where a piece stands now: moved as far as it is open, then apart. */
  private matrix(piece: RoundPiece): Matrix4 {
    const matrix = new Matrix4()
    const movement = piece.movement === null ? null : this.round?.movements[piece.movement]
    if (movement && this.state.open > 0) {
      const [from, to] = [vector(movement.from), vector(movement.to)]
      if (movement.turns) {
        const at = vector(movement.at)
        const axis = new Vector3().crossVectors(from, to).normalize()
        const turn = new Quaternion().setFromAxisAngle(axis, movement.by * this.state.open)
        matrix
          .makeTranslation(at)
          .multiply(new Matrix4().makeRotationFromQuaternion(turn))
          .multiply(new Matrix4().makeTranslation(at.negate()))
      } else {
        matrix.makeTranslation(to.multiplyScalar(movement.by * this.state.open))
      }
    }
    const away = vector(piece.apart).multiplyScalar(this.state.apart)
    return new Matrix4().makeTranslation(away).multiply(matrix)
  }

  private place(): void {
    const body = this.body?.geometry.getAttribute('position')
    const lines = this.lines?.geometry.getAttribute('position')
    if (!(body instanceof BufferAttribute) || !(lines instanceof BufferAttribute)) return
    const at = new Vector3()
    const write = (
      to: BufferAttribute,
      rest: Float32Array,
      from: number,
      count: number,
      by: Matrix4 | null,
    ) => {
      for (let i = from; i < from + count; i++) {
        // What is hidden is drawn into one point.
        if (by) at.fromArray(rest, 3 * i).applyMatrix4(by)
        else at.set(0, -100, 0)
        to.setXYZ(i, at.x, at.y, at.z)
      }
    }
    for (const part of this.parts) {
      const by = this.hidden.has(part.piece.key) ? null : this.matrix(part.piece)
      write(body, this.rest, part.from, part.count, by)
      write(lines, this.restLines, part.linesFrom, part.linesCount, by)
    }
    body.needsUpdate = true
    lines.needsUpdate = true
    this.body?.geometry.computeBoundingSphere()
    this.lines?.geometry.computeBoundingSphere()
    this.ask()
  }

  /** The piece at a place of the canvas, px, and its face there: a place on it and the way it looks, as if nothing had moved; mm, z up. */
  at(x: number, y: number): { piece: RoundPiece; at: Place; looks: Place } | null {
    if (!this.body) return null
    const ray = new Raycaster()
    ray.setFromCamera(
      new Vector2((2 * x) / this.canvas.clientWidth - 1, 1 - (2 * y) / this.canvas.clientHeight),
      this.camera,
    )
    const hit = ray.intersectObject(this.body)[0]
    const corner = 3 * (hit?.faceIndex ?? -1)
    const part = this.parts.find((one) => corner >= one.from && corner < one.from + one.count)
    if (!part) return null
    const [a, b, c] = [0, 1, 2].map((i) => new Vector3().fromArray(this.rest, 3 * (corner + i)))
    if (!a || !b || !c) return null
    const looks = b.clone().sub(a).cross(c.clone().sub(a)).normalize()
    return { piece: part.piece, at: place(a, 1000), looks: place(looks, 1) }
  }

  /** Turns round the middle, and goes nearer or farther: for keys. */
  turn(across: number, up: number, nearer: number): void {
    const offset = this.camera.position.clone().sub(this.controls.target)
    offset.applyAxisAngle(new Vector3(0, 1, 0), across)
    const side = new Vector3().crossVectors(new Vector3(0, 1, 0), offset).normalize()
    const lifted = offset.clone().applyAxisAngle(side, up)
    if (Math.abs(lifted.clone().normalize().y) < 0.98) offset.copy(lifted)
    this.camera.position.copy(this.controls.target).addScaledVector(offset, nearer)
    this.controls.update()
    this.ask()
  }

  /** The furniture as it stands now, a named mesh for each piece. */
  async glTF(): Promise<ArrayBuffer> {
    const { GLTFExporter } = await import('three/examples/jsm/exporters/GLTFExporter.js')
    const all = new Group()
    const wood = new MeshStandardMaterial({
      color: new Color(this.colours.birch).convertSRGBToLinear(),
      roughness: 0.9,
    })
    for (const { piece } of this.parts) {
      const mesh = new Mesh(geometryOf(piece.solid).applyMatrix4(this.matrix(piece)), wood)
      mesh.name = piece.mark
      if (!this.hidden.has(piece.key)) all.add(mesh)
    }
    const written = await new GLTFExporter().parseAsync(all, { binary: true })
    return written as ArrayBuffer
  }

  dispose(): void {
    clearTimeout(this.rests)
    this.controls.dispose()
    this.body?.geometry.dispose()
    this.lines?.geometry.dispose()
    this.smooth.dispose()
    this.screen.dispose()
    this.renderer.dispose()
  }
}
