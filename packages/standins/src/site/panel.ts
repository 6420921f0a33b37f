import type { DoorFile, OutputAt } from './wiring'

type Lines = NonNullable<DoorFile['panel']>
type Line = 'set' | 'unset' | 'toggle'

/** How long a panel looks at a line before it believes it, and how long it takes to stand, ms. */
const believesMs = 300
const standsMs = 700

/** Somebody else's alarm panel, as its lines see it: what it does hangs on which of them is closed, and for how long. */
export class AlarmPanel {
  isSet = false
  private readonly driven = new Map<Line, () => void>()
  constructor(
    private readonly after: (ms: number, then: () => void) => () => void,
    private readonly tell: () => void,
  ) {}

  stand(set: boolean): void {
    if (this.isSet === set) return
    this.isSet = set
    this.tell()
  }

  /** A relay of a controller moved. */
  lines(lines: Lines, serial: string, energised: (relay: string) => boolean): void {
    for (const line of ['set', 'unset', 'toggle'] as const) {
      const at: OutputAt | undefined = lines[line]
      if (at?.serial === serial) this.line(line, energised(at.relay))
    }
  }

  private line(line: Line, closed: boolean): void {
    const waits = this.driven.get(line)
    if (!closed) {
      waits?.()
      this.driven.delete(line)
    } else if (!waits)
      this.driven.set(
        line,
        this.after(believesMs, () => {
          const set = line === 'toggle' ? !this.isSet : line === 'set'
          this.after(standsMs, () => this.stand(set))
        }),
      )
  }
}
