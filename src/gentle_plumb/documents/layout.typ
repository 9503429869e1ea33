// Sets the blocks of a paper's layout, one after the other. What they say is decided before.
#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#let layout = json(bytes(sys.inputs.layout))
#let drawings = json(bytes(sys.inputs.drawings))
#let pictures = json(bytes(sys.inputs.pictures))
#let tick = box(width: 9pt, height: 9pt, stroke: 0.8pt + ink)

#let set-run(r) = {
  if "tick" in r.marks { return tick }
  let body = r.text.split("\n").join(linebreak())
  if "strong" in r.marks { body = strong(body) }
  if "italic" in r.marks { body = emph(body) }
  if "soft" in r.marks { body = text(fill: soft, body) }
  if "small" in r.marks { body = text(size: 8.5pt, body) }
  if "fine" in r.marks { body = text(size: 7.5pt, body) }
  body
}
#let set-runs(runs) = runs.map(set-run).join()

#let set-drawing(d) = [
  #image(bytes(drawings.at(d.of)), format: "svg", width: 100%, alt: d.alt)
  #if d.caption != "" [#text(size: 8pt, fill: soft)[#d.caption]]
]
#let set-table(t) = {
  set table(inset: (x: 4pt, y: if t.close { 2.6pt } else { 4pt }))
  figures(table(
    columns: t.columns.map(column => if column.share > 0 { column.share * 1fr } else { auto }),
    align: t.columns.map(column => (left: left, right: right, center: center).at(column.align)),
    table.header(..t.columns.map(column => strong(column.title))),
    ..t.rows.map(row => row.map(set-runs)).flatten(),
  ))
}
#let set-photographs(p) = {
  let held = p.photos.filter(photo => photo.id in pictures)
  if held.len() > 0 {
    if p.title != "" { heading(level: 2, p.title) }
    block(breakable: false, grid(columns: held.slice(0, calc.min(2, held.len())).map(_ => 1fr), gutter: 6mm,
      ..held.map(photo => [
        #image(bytes(pictures.at(photo.id)), format: "svg", width: 100%, alt: photo.caption)
        #text(size: 8.5pt)[#strong(photo.caption). #photo.readings.join("; ")]
      ])))
  }
}
// Each label with a line to write on after it; the last is short.
#let set-lines(labels) = {
  v(6pt)
  grid(
    columns: labels.enumerate().map(((at, label)) => (auto, if at == labels.len() - 1 { 34mm } else { 1fr })).flatten(),
    column-gutter: 6pt, align: bottom,
    ..labels.map(label => ([#label], line(length: 100%, stroke: 0.5pt + soft))).flatten())
}
#let frames = ("": (:), boxed: (stroke: 1pt + ink, inset: 8pt), barred: (stroke: (left: 2pt + ink), inset: (left: 8pt, y: 3pt)), tinted: (fill: ground, inset: 8pt))

#let set-block(b) = {
  if b.kind == "heading" { heading(level: b.level, b.text) }
  else if b.kind == "text" { par(set-runs(b.runs)) }
  else if b.kind == "items" { if b.numbered { enum(..b.items.map(set-runs)) } else { list(..b.items.map(set-runs)) } }
  else if b.kind == "table" { set-table(b) }
  else if b.kind == "drawing" { block(breakable: false, set-drawing(b)) }
  else if b.kind == "photographs" { set-photographs(b) }
  else if b.kind == "to_fill_in" { set-lines(b.labels) }
  else {
    let body = b.blocks.map(set-block).join()
    block(width: 100%, breakable: false, ..frames.at(b.frame),
      if b.drawings.len() == 0 { body } else {
        grid(columns: (48mm, 1fr), gutter: 4mm,
          grid(columns: b.drawings.map(_ => 1fr), gutter: 1mm, ..b.drawings.map(d => align(center, set-drawing(d)))),
          body)
      })
  }
}

#show: paper.with(c, layout.title, about: layout.about)
#v(4pt)
#layout.blocks.map(set-block).join()
#signature(c)
