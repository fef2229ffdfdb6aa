import { startProgram, tieTogether } from './children.mjs'
import { build, installPackages } from './install.mjs'

installPackages()
build()
tieTogether([startProgram('build/app/main.js', {})])
