import { useDroppable } from '@dnd-kit/core'
import { Cell, type CellProps } from '../../signs/Strip'

/** A screw that a lead may be dropped on. */
export function DropCell(props: CellProps) {
  const { setNodeRef, isOver } = useDroppable({ id: props.terminal.id })
  return <Cell {...props} chosen={props.chosen || isOver} drop={setNodeRef} />
}
