#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, words.erasure)
#v(6pt)
#grid(columns: (1fr, 1fr), row-gutter: 9pt,
  [#text(fill: soft)[#words.client] \ #strong(c.client)], [#text(fill: soft)[#words.erased] \ #c.at],
  [#text(fill: soft)[#words.what] \ #c.what], [#text(fill: soft)[#words.why] \ #c.reason],
  [#text(fill: soft)[#words.erased_by] \ #c.by], [#text(fill: soft)[#words.reference] \ #figures(c.reference)],
)
#v(8pt)
== #words.gone
#for line in c.counts [- #line
]
== #words.searched
#c.searched
== #words.backups
#c.backups
== #words.log
#c.trail
#v(10pt)
#c.practice#if c.call != "" [ · #c.call]
#if c.local_wording != "" [#v(6pt) #text(size: 8.5pt)[#c.local_wording]]
