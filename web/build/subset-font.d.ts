declare module "subset-font" {
  interface Cut {
    targetFormat: "woff2";
    variationAxes?: Record<string, { min: number; max: number }>;
  }
  export default function subsetFont(font: Buffer, letters: string, cut: Cut): Promise<Buffer>;
}
