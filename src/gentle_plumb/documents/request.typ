#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
// Where a field of the form lies: found by a query, and made a field afterwards.
#let spot(name, kind, width, height) = box(width: width, height: height, stroke: if kind == "tick" { 0.8pt + ink } else { (bottom: 0.5pt + soft) })[
  #context {
    let p = here().position()
    [#metadata((name: name, kind: kind, page: p.page, x: p.x.pt(), y: p.y.pt(), width: width.pt(), height: height.pt())) <spot>]
  }
]
#show: paper.with(c, words.request, about: [#fill-in(words.for, client: c.client, day: c.visited)#if c.follow_up_on != "" [ · #fill-in(words.again, day: c.follow_up_on)]])
#v(4pt)
#words.tick#if c.call != "" [ #c.call]
#for words in c.limits [#boxed[#strong(words)]]
#if c.requests.len() == 0 [#words.nothing_asked]
#for (at, r) in c.requests.enumerate() [
  #let id = if said(r, "id", none-is: "") != "" { r.id } else { str(at) }
  #block(breakable: false, width: 100%, inset: (y: 5pt), stroke: (bottom: 0.4pt + hair))[
    #grid(columns: (16pt, 1fr, 62mm), column-gutter: 6pt,
      spot("done_" + id, "tick", 10pt, 10pt),
      [
        #if said(r, "safety", none-is: false) [#strong(words.make_safe) ]#strong(r.title)#if r.do != "" [. #r.do]
        #text(size: 8.5pt, fill: soft)[#figures((said(r, "covers", none-is: ""), if said(r, "count", none-is: "") != "" { fill-in(words.how_many, count: r.count) } else { "" }, if said(r, "by", none-is: "") != "" { fill-in(words.by, who: r.by) } else { "" }, if said(r, "price", none-is: "") != "" { fill-in(words.price, price: r.price) } else { "" }).filter(x => x != "").join(" · "))]
      ],
      [#text(size: 8pt, fill: soft)[#words.note] \ #spot("note_" + id, "text", 60mm, 14pt)],
    )
  ]
]
#v(14pt)
#grid(columns: (auto, 80mm, auto, 34mm), column-gutter: 6pt, align: bottom,
  [#words.done_by], spot("by", "text", 78mm, 14pt), [#words.date], spot("on", "text", 32mm, 14pt))
#v(10pt)
#cautions(c)
