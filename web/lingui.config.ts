import { formatter } from "@lingui/format-po";

/** The page's part of the catalogue; the program's own stands beside it, made by `./plumb words`. */
export default {
  sourceLocale: "en",
  locales: ["en", "de", "es"],
  catalogs: [{ path: "../locale/{locale}/page", include: ["src"], exclude: ["**/*.test.*"] }],
  runtimeConfigModule: { Trans: ["@/shared/words/trans", "Trans"] },
  format: formatter({ lineNumbers: false }),
};
