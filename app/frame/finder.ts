import { defineStore } from 'pinia'
import { ref } from 'vue'

/** Find: whether it is open, and what is looked for; what is found comes with its dialog (found.ts). */
export const useFinder = defineStore('finder', () => ({ open: ref(false), text: ref('') }))
