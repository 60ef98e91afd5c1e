export function MethodPage() {
  return null
}
