/** The independent reader of the open data package format that the tests check with; it ships no types. */
declare module 'datapackage' {
  export interface Resource {
    name: string
    read(options: { keyed: boolean; relations?: boolean }): Promise<unknown[]>
  }
  export class Package {
    static load(descriptor: object): Promise<Package>
    readonly valid: boolean
    readonly errors: Error[]
    getResource(name: string): Resource
  }
}
