#let c = json(bytes(sys.inputs.content))
#let drawn = json(bytes(sys.inputs.drawn))
#let codes = json(bytes(sys.inputs.codes))
#let ink = rgb("#20262B")
#let soft = rgb("#655F54")
#let hair = rgb("#CFC5B4")
#let figures(body) = text(font: "Plumb Figures", body)
#let is(l, name) = if l.at(name, default: "") != "" [ \ #text(size: 6.5pt, fill: soft)[#l.at(name)]]

#set document(title: "Settings card" + if c.desk != "" { ", " + c.desk } else { "" }, author: c.practice)
#set text(font: "Hanken Grotesk", size: 8.5pt, fill: ink, lang: "en")
#set page(width: 105mm, height: 148mm, margin: (x: 7mm, y: 7mm))
#show heading.where(level: 1): it => text(size: 12pt, weight: 600, it.body)

#for (index, p) in c.people.enumerate() [
  #if index > 0 { pagebreak() }
  = #p.name
  #text(fill: soft)[#if c.desk != "" [#c.desk · ]#p.date]
  #v(1mm)
  #image(bytes(drawn.at(index)), format: "svg", width: 100%,
    alt: "Side view of the workstation beside a staff; the numbers are in the table below.")
  #v(1mm)
  #figures(table(
    columns: (1fr, 22mm, 22mm),
    stroke: (x, y) => if y == 0 { (bottom: 0.8pt + ink) } else { (bottom: 0.4pt + hair) },
    inset: (x: 2pt, y: 2.6pt),
    align: (left, right, right),
    table.header([], [*Sitting*], [*Standing*]),
    ..p.lines.map(l => (
      [#l.label#if not l.sure [ \*]], [#strong(l.seated)#is(l, "seated_is")], [#strong(l.standing)#is(l, "standing_is")],
    )).flatten()
  ))
  #if p.lines.any(l => not l.sure) [#text(size: 7.5pt, fill: soft)[\* not measured]]
  #for line in p.temporary [
    #v(0.5mm) #text(size: 8pt)[For a time: #line.]
  ]
  #place(bottom + left, dy: 0mm, grid(columns: (24mm, 1fr), gutter: 3mm, align: horizon,
    image(bytes(codes.at(index)), format: "svg", width: 24mm, alt: "The numbers of this card as text, to scan."),
    text(size: 7.5pt, fill: soft)[The code holds these numbers as text and needs no network. \
      #c.practice. Comfort overrules a number, and pain overrules comfort.]))
]
