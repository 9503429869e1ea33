// What every paper has: page, head, tables, signature, files. Lengths and words come finished in the content.
#let ink = rgb("#20262B")
#let soft = rgb("#655F54")
#let hair = rgb("#CFC5B4")
#let ground = rgb("#F5F0E6")
#let figures(body) = text(font: "Plumb Figures", body)
#let dash(s) = if s == "" or s == none { "–" } else { s }
#let words = json(bytes(sys.inputs.words))
#let fill-in(text, ..gaps) = gaps.named().pairs().fold(text, (so-far, gap) => so-far.replace("{" + gap.at(0) + "}", gap.at(1)))
#let said(c, name, none-is: ()) = c.at(name, default: none-is)

#let paper(c, title, about: none, body) = {
  set document(title: title + ", " + c.client, author: c.practice)
  set text(font: "Hanken Grotesk", size: 9.5pt, fill: ink, lang: words.lang)
  set par(leading: 0.62em, justify: false)
  set page(
    paper: "a4",
    margin: (x: 20mm, top: 18mm, bottom: 22mm),
    footer: context {
      set text(size: 8pt, fill: soft)
      line(length: 100%, stroke: 0.4pt + hair)
      v(2pt)
      grid(
        columns: (1fr, auto),
        [#c.client · #c.visited#if "version" in c [ · #words.version #c.version]#if c.signed_by == none [ · #words.draft]#if said(c, "sha256", none-is: none) != none [ · #c.sha256.slice(0, 12)]],
        [#counter(page).display((..n) => words.of.replace("{page}", str(n.at(0))).replace("{all}", str(n.at(1))), both: true)],
      )
    },
  )
  // a heading stays with what follows it, and is never alone at the foot of a page
  show heading: set block(sticky: true)
  show heading.where(level: 1): it => text(size: 20pt, weight: 600, it.body)
  show heading.where(level: 2): it => block(above: 14pt, below: 6pt, sticky: true, text(size: 12.5pt, weight: 600, it.body))
  show heading.where(level: 3): it => block(above: 9pt, below: 4pt, sticky: true, text(size: 10pt, weight: 600, it.body))
  show table.cell: set block(breakable: false)
  set table(
    stroke: (x, y) => if y == 0 { (bottom: 0.8pt + ink) } else { (bottom: 0.4pt + hair) },
    inset: (x: 4pt, y: 4pt),
  )
  grid(columns: (1fr, auto),
    [#strong(c.practice)],
    align(right, text(size: 8.5pt, fill: soft, c.letterhead.join(linebreak()))),
  )
  v(6pt)
  [= #title]
  if about != none [#v(1pt) #about]
  body
  for file in json(bytes(sys.inputs.attached)) {
    pdf.attach(file.name, bytes(file.text), relationship: "supplement", mime-type: file.media, description: file.says)
  }
}

#let boxed(body) = block(stroke: 1pt + ink, inset: 8pt, width: 100%, breakable: false, body)
#let barred(body) = block(stroke: (left: 2pt + ink), inset: (left: 8pt, y: 3pt), width: 100%, breakable: false, body)
#let cares(c) = for care in c.precautions [
  #barred[#strong(care.label). #if care.cleared != none [#fill-in(words.cleared, by: care.cleared)] else [#care.limit #fill-in(words.ask, whom: care.ask)#for one in care.limits_cleared [ #one]]#if care.note != none [ #care.note]]
]
#let cautions(c) = [
  #for n in c.cautions [- #n
  ]
  #if c.local_wording != "" [- #c.local_wording]
]
#let signature(c) = [
  #v(12pt)
  #block(breakable: false)[
    #if c.signed_by != none [
      #grid(columns: (1fr, 1fr), row-gutter: 5pt,
        [#text(fill: soft)[#words.signed] \ #strong(c.signed_by) \ #c.signed_title#if said(c, "signed_registration", none-is: none) not in (none, "") [ · #words.registration #c.signed_registration]],
        [#text(fill: soft)[#words.on] \ #dash(said(c, "signed_on", none-is: c.signed_at)) \ #text(fill: soft)[#if "version" in c [#words.version #c.version, #words.frozen]]],
      )
      #if said(c, "sha256", none-is: none) != none [#text(size: 7.5pt, fill: soft)[#words.digest #figures(c.sha256)]]
    ] else [
      #text(fill: soft)[#words.not_signed]
    ]
  ]
]
