export const draggingWords = {
  dragging: {
    move: 'Move {{name}}, place {{place}}',
    how: 'Press Space to pick it up, the arrow keys to move it, Space to drop it, Escape to cancel.',
    held: 'Picked up {{name}} from place {{place}}.',
    moved: '{{name}} is over place {{place}} of {{count}}.',
    putAt: 'Dropped {{name}} at place {{place}} of {{count}}.',
    notMoved: '{{name}} stays in its place.',
  },
} as const
