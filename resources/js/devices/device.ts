import { ref, shallowRef } from 'vue'

/**
 * A measuring device outside the program: a laser meter, an angle gauge, a tape with a radio. Its driver connects and
 * then calls `receive` for every value the device sends; the value goes as text into the field that is open, as if it had
 * been typed, and the person still presses Enter. docs/devices.md explains how to add a driver.
 */
export interface MeasuringDevice {
  /** A name for the person. */
  readonly name: string
  /** Whether it can give what the open reading asks for. */
  fits(reading: { is_angle: boolean }): boolean
  connect(receive: (value: DeviceReading) => void): Promise<void>
  disconnect(): Promise<void>
  /** Asks for a value now, where the device can be asked; others send by themselves when their button is pressed. */
  trigger?(slot: string): Promise<void>
}

export interface DeviceReading {
  /** In the job's unit, or with a unit of its own: the reader takes both. */
  text: string
  /** For a plumb or a fall: at which end. */
  end?: string | null
  /** The slot that was asked for, where the device was asked: a value that comes late goes nowhere else. */
  slot?: string
}

const connected = shallowRef<MeasuringDevice[]>([])
const latest = ref<(DeviceReading & { count: number }) | null>(null)
let count = 0

/** The devices that are connected, and the value that came last. */
export function useDevices() {
  async function connect(device: MeasuringDevice) {
    await device.connect((value) => (latest.value = { ...value, count: ++count }))
    connected.value = [...connected.value.filter((other) => other.name !== device.name), device]
  }
  async function disconnectAll() {
    await Promise.all(connected.value.map((device) => device.disconnect()))
    connected.value = []
  }
  return { connected, latest, connect, disconnectAll }
}
