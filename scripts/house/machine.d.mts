export declare const machine: string
