# frozen_string_literal: true

module Basalt
  module Network
    # The sentences about networks, both ways.
    module Sentences
      ADDRESS = /\A(\?|\.[\d.]+|[\dA-Fa-f]*:[\dA-Fa-f:.]*|\d+\.[\d.]+)\z/
      COUNTS = { "twice" => 2, "three times" => 3, "four times" => 4 }.freeze
      MOST_PARALLEL = 100

      SLOTS = {
        address: Statements::WordSlot.new(ADDRESS, "an address such as .20, 10.20.4.20 or ?", quoted: false),
        prefix: Statements::WordSlot.new(%r{\A[\dA-Fa-f.:]+/\d+\z}, "a prefix such as 10.20.4.0/24", stops: true, quoted: false),
        **Racks::Sentences::SLOTS,
        **Floors::Sentences::SLOTS,
        height: Statements::WordSlot.new(/\A\d{1,2}U\z/, "a height such as 42U", stops: true, quoted: false) { |text| text.to_i },
        medium: Statements::WordSlot.new(/\A(#{Kinds::MEDIA.join("|")})\z/, "a medium such as copper", stops: true, quoted: false),
        speed: Statements::WordSlot.new(/\A\S+\z/, "a speed such as 10G"),
        port: PortSlot.new,
        units: UnitsSlot.new,
        numbers: Cabling::NumbersSlot.new,
        steps: Statements::WordSlot.new(/\A[+-]?\d{1,5}\z/, "how many, such as 1 or -1", quoted: false) { |text| text.to_i },
        length: Statements::WordSlot.new(/\A\d{1,6}m\z/, "a length such as 12m", stops: true, quoted: false) { |text| text.to_i },
        port_names: Statements::WordSlot.new(/\A\S+\z/, "ports such as 1-24", quoted: false),
        port_speed: Statements::WordSlot.new(Cabling::Speed::PATTERN, "a speed such as 10G", quoted: false),
        pluggable: Statements::WordSlot.new(/\Apluggable\z/, "“pluggable”", quoted: false)
      }.freeze

      def self.quality(...) = Statements::Quality.new(...)
      def self.placed?(unparser, thing) = thing.container_id && unparser.set.element(thing.container_id).kind == "place"

      IN_PLACE =
        quality(
          %w[place subnet],
          "in <container:thing(place)>",
          take: ->(context, thing, said) { context.set(thing.id, "container", said[:container].id) },
          tell: ->(unparser, thing) { placed?(unparser, thing) ? [["in", unparser.thing(thing.container_id)]] : [] },
          clear: ->(context, thing, _) { context.set(thing.id, "container", nil) }
        )

      PART_OF =
        quality(
          "subnet",
          "part of <container:thing(subnet)>",
          take: ->(context, subnet, said) { context.set(subnet.id, "container", said[:container].id) },
          tell: ->(unparser, subnet) do
            subnet.container_id && !placed?(unparser, subnet) ? [["part of", unparser.thing(subnet.container_id)]] : []
          end,
          clear: ->(context, subnet, _) { context.set(subnet.id, "container", nil) }
        )

      OWNED_BY =
        quality(
          "device",
          "owned by <owner:thing(outside)>",
          take: ->(context, device, said) { Owners.give(context, device, said[:owner]) },
          tell: ->(unparser, device) { Owners.of(unparser.set, device).map { |id| ["owned by", unparser.thing(id)] } },
          clear: ->(context, device, _) { Owners.clear(context, device) }
        )

      # Where it stands can be said along with it; the reading tells it in a sentence of its own.
      ON =
        quality(
          "device",
          "on <subnet:thing(subnet)> [at <address:address>]",
          late: true,
          tell: ->(*) { [] },
          clear: ->(*) {},
          take: ->(context, device, said) { Attaching.attach(context, { thing: device, subnet: said[:subnet], address: said[:address] }) }
        )
      TO =
        quality(
          "device",
          "to <other:thing(#{Kinds::JOINED.join("|")})>",
          late: true,
          tell: ->(*) { [] },
          clear: ->(*) {},
          take: ->(context, device, said) { Links.join(context, { one: device, other: said[:other] }) }
        )

      HEIGHT = quality("place", "<height:height>", tell: ->(_teller, place) { place["height"] ? [["#{place["height"]}U"]] : [] })

      COUNT = quality("link", "<times:integer> times", take: ->(*) {}, tell: ->(*) { [] })
      WORDED_COUNTS = COUNTS.map { |words, _| quality("link", words, take: ->(*) {}, tell: ->(*) { [] }) }
      LABEL = quality("link", "label <label:word>")
      LENGTH = quality("link", "<length:length>", tell: ->(_teller, link) { link["length"] ? [["#{link["length"]}m"]] : [] })
      MEDIUM =
        quality(
          "link",
          "<medium:medium> [<speed:speed>]",
          tell: ->(unparser, link) { link["medium"] ? [[link["medium"], *([unparser.word(link["speed"])] if link["speed"])]] : [] }
        )

      QUALITIES = [
        quality("subnet", "<prefix:prefix>"),
        ON,
        TO,
        IN_PLACE,
        *Racks::Sentences::QUALITIES,
        *Floors::Sentences::QUALITIES,
        PART_OF,
        OWNED_BY,
        HEIGHT,
        quality("subnet", "vlan <vlan:integer>"),
        quality("subnet", "space <space:word>"),
        quality("subnet", "isolated", fact: "isolated"),
        quality("subnet", "planned", fact: "planned"),
        quality("device", "planned", fact: "planned"),
        quality(["device", Cabling::Models::KIND], "<members:integer> members|member"),
        quality(["device", Cabling::Models::KIND], "<slots:integer> slots"),
        *Cabling::Sentences::MODELS,
        *Cabling::PortGroup::USES.map { |use| Cabling::Sentences.ports(use) },
        *Cabling::Sentences::RULES,
        quality("attachment", "gateway", fact: "gateway"),
        quality("attachment", "interface <interface:word>"),
        quality("attachment", "planned", fact: "planned"),
        quality("link", "circuit <circuit:word>"),
        quality("link", "speed <speed:word>", tell: ->(unparser, link) { Links.bare_speed(unparser, link) }),
        quality("link", "planned", fact: "planned"),
        quality("link", "laid", fact: "laid"),
        quality("link", "bundle <bundle:word>"),
        LENGTH,
        MEDIUM,
        LABEL,
        *WORDED_COUNTS,
        COUNT
      ].freeze

      JOINED = "thing(#{Kinds::JOINED.join("|")})".freeze

      FORMS = [
        Statements::Form.new("<thing:#{JOINED}> [is] on <subnet:thing(subnet)> [at <address:address>] {attachment}") do |context, said|
          Attaching.attach(context, said)
        end,
        Statements::Form.new(
          "gateway shared by <members:things(device)> [on <subnet:thing(subnet)>] at <address:address>"
        ) { |context, said| Attaching.share(context, said) },
        *Cabling::Sentences::FORMS,
        *Racks::Sentences::FORMS,
        *Floors::Sentences::FORMS,
        Statements::Form.new("uplink <units:units> to <other:thing(device)> {link}") do |context, said|
          Cabling::Uplinks.plan(context, said)
        end,
        Statements::Form.new("<one:#{JOINED}> [<one_port:port>] to <other:#{JOINED}> [<other_port:port>] {link}") do |context, said|
          Links.join(context, said)
        end
      ].freeze

      UNPARSERS = {
        "attachment" => ->(unparser, element) { Attaching.tell(unparser, element) },
        "shared gateway" => ->(unparser, element) { Attaching.tell_shared(unparser, element) },
        "link" => ->(unparser, element) { Links.tell(unparser, element) },
        "ownership" => ->(_teller, _element) { [] },
        Cabling::Models::RELATION => ->(_teller, _element) { [] }
      }.freeze
    end
  end
end
