import { canFit, useSession } from '../state/session'
import { Sheet } from './Screen'
import { UndoBar } from './UndoBar'

/** Takes changes of the plan back, for who may make them. */
export function PlanChanges() {
  const me = useSession((s) => s.me)
  return canFit(me) ? (
    <Sheet title="Changes of the plan">
      <UndoBar />
    </Sheet>
  ) : null
}
