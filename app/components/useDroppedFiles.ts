import { useEffect } from 'react'

/** A file that is dropped where no field takes it would replace the page, with all that was typed. */
export function useDroppedFiles() {
  useEffect(() => {
    const refuse = (event: DragEvent) => {
      const isFile = event.dataTransfer?.types.includes('Files')
      const isTaken =
        event.defaultPrevented ||
        (event.target instanceof Element && event.target.closest('input[type=file]'))
      if (!isFile || isTaken) return
      event.preventDefault()
      event.dataTransfer!.dropEffect = 'none'
    }
    addEventListener('dragover', refuse)
    addEventListener('drop', refuse)
    return () => {
      removeEventListener('dragover', refuse)
      removeEventListener('drop', refuse)
    }
  }, [])
}
