import { buildWeb, needNode } from './ready.mjs'

needNode()
buildWeb()
