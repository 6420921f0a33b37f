// One control at a time: the library's own entry brings all of them, some 45 kB that no screen here uses.
export { default as Button } from '@rneui/themed/dist/Button'
export { default as CheckBox } from '@rneui/themed/dist/CheckBox'
export { default as Chip } from '@rneui/themed/dist/Chip'
export { default as Input } from '@rneui/themed/dist/Input'
export { createTheme, ThemeProvider } from '@rneui/themed/dist/config'
// The bare row: the themed one brings swiping, accordions and inputs along.
export { ListItemBase as ListItem } from '@rneui/base/dist/ListItem/ListItem'
export { Skeleton } from '@rneui/base/dist/Skeleton/Skeleton'
