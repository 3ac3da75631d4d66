import { expect, test } from 'vitest'
import { addressOf, LINK } from '../src/ui/address'

test('an address is taken as people have it', () => {
  const taken = {
    ' https://sundials.example/noon ': 'https://sundials.example/noon',
    'sundials.example': 'https://sundials.example',
    'sundials.example:8080/noon?at=12': 'https://sundials.example:8080/noon?at=12',
    'schöne-uhren.example/süd': 'https://schöne-uhren.example/süd',
    "https://sundials.example/Noor's dial": 'https://sundials.example/Noor%27s%20dial',
    'imani@sundials.example': 'mailto:imani@sundials.example',
    'mailto:imani@sundials.example': 'mailto:imani@sundials.example',
    'http://localhost:8000/r/x': 'http://localhost:8000/r/x',
  }
  for (const [typed, whole] of Object.entries(taken)) expect(addressOf(typed), typed).toBe(whole)
})

test('what leads nowhere, or runs something, is none', () => {
  for (const typed of [
    '',
    'noon',
    'javascript:alert(1)',
    'data:text/html,x',
    'file:///etc/passwd',
    'https://',
    'mailto:',
    'a b.example',
  ])
    expect(addressOf(typed), typed).toBe('')
  expect(addressOf(`https://sundials.example/${'n'.repeat(500)}`)).toBe('')
})

test('of a line that was said its addresses are links, and nothing beside them', () => {
  const links = (line: string) => line.split(LINK).filter((_, n) => n % 2)
  expect(links('See https://sundials.example/noon. Or http://a.example, (https://b.example/x)!')).toEqual([
    'https://sundials.example/noon',
    'http://a.example',
    'https://b.example/x',
  ])
  expect(links('https://sundials.example/Dial_(garden)?at=12')).toEqual([
    'https://sundials.example/Dial_(garden)?at=12',
  ])
  expect(links('https://')).toEqual([])
})
