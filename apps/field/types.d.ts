declare module 'react-native-vector-icons/Icon' {
  export interface IconProps {
    name?: string
    size?: number
    color?: string
  }
}
