import { ArrowLeft } from 'lucide-react'
import { Link } from 'react-router'
import { say } from '../../core/messages/say/listings'

export function BackLink({ shop }: { shop: string }) {
  return (
    <Link to={`/s/${shop}/gather`} className="inline-flex min-h-6 items-center gap-1 text-petrol underline">
      <ArrowLeft className="size-4" aria-hidden="true" />
      {say('listings.back')}
    </Link>
  )
}
