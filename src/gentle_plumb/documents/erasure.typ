#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, "Proof of erasure")
#v(6pt)
#grid(columns: (1fr, 1fr), row-gutter: 9pt,
  [#text(fill: soft)[Client] \ #strong(c.client)], [#text(fill: soft)[Erased] \ #c.at],
  [#text(fill: soft)[What] \ #c.what], [#text(fill: soft)[Why] \ #c.reason],
  [#text(fill: soft)[By] \ #c.by], [#text(fill: soft)[Reference] \ #figures(c.reference)],
)
#v(8pt)
== What was there, and is gone
#for line in c.counts [- #line
]
== What was searched
#c.searched
== Backups
#c.backups
== In the audit log
#c.trail
#v(10pt)
#c.practice#if c.call != "" [ · #c.call]
#if c.local_wording != "" [#v(6pt) #text(size: 8.5pt)[#c.local_wording]]
