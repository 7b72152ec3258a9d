import { api } from '@/api/client'
import type { DeviceReading, MeasuringDevice } from './device'

/**
 * A laser meter and an angle gauge that do not exist: they measure the hidden room of a practice space, with the noise of
 * a real tool and a slip now and then.
 */
export function simulatedDevice(space: string, kind: 'meter' | 'gauge'): MeasuringDevice {
  let give: ((value: DeviceReading) => void) | null = null
  return {
    name: kind === 'gauge' ? 'Simulated angle gauge' : 'Simulated laser meter',
    fits: (reading) => reading.is_angle === (kind === 'gauge'),
    connect: (receive) => {
      give = receive
      return Promise.resolve()
    },
    disconnect: () => {
      give = null
      return Promise.resolve()
    },
    trigger: async (slot) => {
      const value = await api<DeviceReading>('POST', `/api/spaces/${space}/practice/reading`, { slot })
      give?.({ ...value, slot })
    },
  }
}
