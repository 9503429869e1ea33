#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, "Referral")
#v(6pt)
#if c.to != "" [To: #strong(c.to)]
#grid(columns: (1fr, 1fr), row-gutter: 9pt,
  [#text(fill: soft)[Client] \ #strong(c.client)], [#text(fill: soft)[Seen on] \ #c.visited],
  [#text(fill: soft)[Work] \ #dash(c.work)], [#text(fill: soft)[How soon] \ #strong(c.urgency)],
)
#v(8pt)
During an assessment of the workplace the client reported, or we saw:
#boxed[#strong(c.sign)]
This needs to be looked at by you. It is no diagnosis. Nothing was adjusted against pain.
#if c.told != "" [
  == What was done and told
  #c.told
]
#if c.felt.len() > 0 [
  == Discomfort, as the client marked it
  #for line in c.felt [- #line
  ]
]
#if c.cares.len() > 0 [
  == Known conditions
  #cares(c)
]
#if c.call_back != "" [We call the client back on #c.call_back.]
#v(10pt)
#if c.by != "" [#c.by \ ]
#c.practice#if c.call != "" [ · #c.call]
#if c.local_wording != "" [#v(6pt) #text(size: 8.5pt)[#c.local_wording]]
