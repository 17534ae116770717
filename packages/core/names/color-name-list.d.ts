declare module 'color-name-list' {
  export const colornames: readonly { readonly name: string; readonly hex: string }[];
}
