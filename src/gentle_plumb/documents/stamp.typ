// What is laid over each page of a version that a later one has replaced.
#set page(paper: "a4", margin: (x: 20mm, top: 6mm, bottom: 0mm), fill: none)
#set text(font: "Hanken Grotesk", size: 9pt, weight: 600, fill: rgb("#20262B"), lang: "en")
#align(center, box(stroke: 1.2pt + rgb("#20262B"), inset: (x: 8pt, y: 4pt), fill: rgb("#FFFFFF"), sys.inputs.words))
