import { transformAsync } from "@babel/core";
import macro from "@lingui/babel-plugin-lingui-macro";
import type { Plugin } from "vite";

/** Turns the messages of a module into what looks them up; everything else is left to the compiler. */
export function linguiMacro(): Plugin {
  return {
    name: "lingui-macro",
    enforce: "pre",
    async transform(code, id) {
      const file = id.split("?")[0] ?? id;
      if (!/\.tsx?$/.test(file) || !/@lingui\/(core|react)\/macro/.test(code)) return null;
      const made = await transformAsync(code, {
        filename: file,
        babelrc: false,
        configFile: false,
        sourceMaps: true,
        parserOpts: { plugins: file.endsWith("x") ? ["typescript", "jsx"] : ["typescript"] },
        plugins: [macro],
      });
      return made?.code ? { code: made.code, map: JSON.stringify(made.map) } : null;
    },
  };
}
