#let c = json(bytes(sys.inputs.content))
#let drawn = json(bytes(sys.inputs.drawn))
#let codes = json(bytes(sys.inputs.codes))
#let words = json(bytes(sys.inputs.words))
#let ink = rgb("#20262B")
#let soft = rgb("#655F54")
#let hair = rgb("#CFC5B4")
#let figures(body) = text(font: "Plumb Figures", body)
#let is(l, name) = if l.at(name, default: "") != "" [ \ #text(size: 6.5pt, fill: soft)[#l.at(name)]]

#set document(title: words.card + if c.desk != "" { ", " + c.desk } else { "" }, author: c.practice)
#set text(font: "Hanken Grotesk", size: 8.5pt, fill: ink, lang: words.lang)
#set page(width: 105mm, height: 148mm, margin: (x: 7mm, y: 7mm))
#show heading.where(level: 1): it => text(size: 12pt, weight: 600, it.body)

#for (index, p) in c.people.enumerate() [
  #if index > 0 { pagebreak() }
  = #p.name
  #text(fill: soft)[#if c.desk != "" [#c.desk · ]#p.date]
  #v(1mm)
  #image(bytes(drawn.at(index)), format: "svg", width: 100%,
    alt: words.card_view)
  #v(1mm)
  #figures(table(
    columns: (1fr, 22mm, 22mm),
    stroke: (x, y) => if y == 0 { (bottom: 0.8pt + ink) } else { (bottom: 0.4pt + hair) },
    inset: (x: 2pt, y: 2.6pt),
    align: (left, right, right),
    table.header([], [*#words.sitting*], [*#words.standing*]),
    ..p.lines.map(l => (
      [#l.label#if not l.sure [ \*]], [#strong(l.seated)#is(l, "seated_is")], [#strong(l.standing)#is(l, "standing_is")],
    )).flatten()
  ))
  #if p.lines.any(l => not l.sure) [#text(size: 7.5pt, fill: soft)[\* #words.not_measured]]
  #for line in p.temporary [
    #v(0.5mm) #text(size: 8pt)[#words.for_a_time #line.]
  ]
  #place(bottom + left, dy: 0mm, grid(columns: (24mm, 1fr), gutter: 3mm, align: horizon,
    image(bytes(codes.at(index)), format: "svg", width: 24mm, alt: words.code),
    text(size: 7.5pt, fill: soft)[#words.code_holds \
      #c.practice. #words.comfort]))
]
