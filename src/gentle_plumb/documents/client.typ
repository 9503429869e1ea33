#import "paper.typ": *
#let c = json(bytes(sys.inputs.content))
#show: paper.with(c, "Your workplace", about: [#c.client · #c.visited#if c.follow_up_on != "" [ · we look again on #c.follow_up_on]])
#v(4pt)
#flags(c)
#worse(c)
#cares(c)
#lacks(c)
#if c.first.len() > 0 [
  == First of all
  #tinted[#enum(..c.first.map(a => [#action(a)#if said(a, "helps", none-is: "") != "" [ #text(size: 8.5pt, fill: soft)[#a.helps]]]))]
]
#if c.note != "" [#v(2pt) #emph(c.note)]
#if said(c, "keep_doing").len() > 0 [#v(2pt) Keep doing this: #c.keep_doing.map(x => lower(x.at(0)) + x.slice(1)).join("; ").]
#let limits = said(c, "limits")
#if limits.len() > 0 [
  == Keep to this
  #for line in limits [- #line
  ]
]
#block(breakable: false)[
  == When to stop, and whom to call
  #for line in c.stop [- #line
  ]
  #if c.call != "" [- Questions: #c.call]
]
== Your numbers
#set table(inset: (x: 4pt, y: 2.6pt))
#numbers(c.numbers)
#if c.numbers.any(l => not l.sure and not said-of(l)) [#text(size: 8pt, fill: soft)[\* aimed at or set, not measured again.]]
#figure-of(c, "Side view of " + c.client + " at the workstation; the numbers are in the table above.")
#for place in c.places [
  == #place.name: #lower(place.use)
  #for words in (place.actions + place.desk + place.moves) [ - #words ]
]
#if c.done.len() > 0 or c.set_today != "" [
  == Done today
  #if c.set_today != "" [- Set, #c.set_today.]
  #for a in c.done [- #action(a, who: false)
  ]
]
#if c.todo.len() > 0 or c.to_set != "" [
  == Still to do
  #if c.to_set != "" [- Set to the numbers above, #c.to_set.]
  #for a in c.todo [- #action(a)
  ]
  #if said(c, "costs", none-is: "") != "" [Still to be bought, together: #figures(c.costs).]
]
#if c.temporary.len() > 0 [
  === There for a time only
  #for line in c.temporary [- #line
  ]
]
#if c.day != none or c.rhythm != none [
  == Your day
  #rhythm(c)
  #if c.day != none [
    #block(breakable: false)[
      #if sys.inputs.day != "" [
        #image(bytes(sys.inputs.day), format: "svg", width: 100%, alt: "The day from " + c.day.start + " to " + c.day.end + ": sitting low, standing high, moving between.")
      ]
      #for line in c.day.weeks [- #figures(line)
      ]
      #figures(c.day.eyes)
      #for line in c.day.tips [- #figures(line)
      ]
    ]
  ]
]
#if c.movements.len() > 0 or c.movement_rules.len() > 0 [
  == Your movements
  #for line in c.movement_rules [#line ]
  #let drawn = json(bytes(sys.inputs.movements))
  #for (index, m) in c.movements.enumerate() [
    #block(breakable: false, width: 100%)[
      #grid(columns: (48mm, 1fr), gutter: 4mm,
        grid(columns: drawn.at(index).map(_ => 1fr), gutter: 1mm,
          ..drawn.at(index).enumerate().map(((at, svg)) => align(center)[
            #image(bytes(svg), format: "svg", width: 100%, alt: m.label + ": " + m.says.at(at))
            #text(size: 8pt, fill: soft)[#m.says.at(at)]
          ])),
        [
          #strong(m.label). #figures[#m.dose.] #m.start.
          #for step in m.steps [+ #step
          ]
          #text(size: 8.5pt)[Felt: #m.felt. Not #m.never.]
        ])
    ]
  ]
]
#since(c)
== Why
#causes(c, evidence: false)
#if c.further_causes > 0 [#text(fill: soft)[And #c.further_causes more of less weight: they are in the record.]]
#photographs(c)
#replaced(c)
#block(breakable: false)[
  == Please note
  #cautions(c)
  #if json(bytes(sys.inputs.attached)).len() > 0 [- This file also carries your measurements and answers as open files. Give your workplace its own copy, which has none of it.]
]
#signature(c)
