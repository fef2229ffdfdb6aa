interface Named {
  sku: string
  title: string
}

/** What names each product in a field with suggestions: its title, with the SKU where several have that title. */
export function productLabels<P extends Named>(products: P[]): Map<string, P> {
  const times = new Map<string, number>()
  for (const { title } of products) times.set(title, (times.get(title) ?? 0) + 1)
  return new Map(
    products.map((product) => {
      const { title, sku } = product
      return [times.get(title) === 1 ? title : `${title} (${sku})`, product]
    }),
  )
}
