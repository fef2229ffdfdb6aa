import type { FormDesign } from './design'

/** The coupon that is shown after sending; empty for none. */
export const couponOf = ({ coupon }: Pick<FormDesign, 'coupon'>): string => coupon.text.trim()

/** Whether writers know of the coupon before they write. Their reviews say so. */
export const announcesCoupon = (design: Pick<FormDesign, 'coupon'>): boolean =>
  design.coupon.announced && couponOf(design) !== ''
