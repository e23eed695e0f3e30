import { Moon, Sun } from 'lucide-react'
import { useState } from 'react'
import { IconButton } from '../ui/IconButton.tsx'
import { chooseTheme, currentTheme } from './theme.ts'

/** Changes between the light and the dark page. */
export function ThemeButton() {
  const [theme, setTheme] = useState(currentTheme)
  const next = theme === 'dark' ? 'light' : 'dark'
  const change = () => {
    chooseTheme(next)
    setTheme(next)
  }
  return (
    <IconButton label={`Change to the ${next} theme`} onClick={change}>
      {theme === 'dark' ? <Sun size={18} /> : <Moon size={18} />}
    </IconButton>
  )
}
