# frozen_string_literal: true

module Basalt
  # Systems: what stands in the middle of a context, around use cases and around components. Several families speak of them; each
  # brings the kind and what is said of it, and the base has it once.
  module Systems
    # What a key of order among those who take part may be (see Change::OrderKey).
    ORDER = (-(2**62)..(2**62))
    LANE = Model::Field.new(name: "lane", type: :integer, range: ORDER, internal: true)

    # @return [String] a name of somebody or something, from the words of a text
    def self.titled(text) = English.bare(text).then { |name| name[0, 1].upcase + name[1..].to_s }

    KIND =
      Model::Kind.new(
        name: "system",
        ordered: "lane",
        marked: ->(text) { titled(text) },
        plural: "systems",
        nouns: {
          "system" => {}
        },
        fields: [Model::Field.new(name: "owner", type: :text), Model::Field.new(name: "purpose", type: :text), LANE]
      )

    QUALITIES = ["owned by <owner:words>", "purpose <purpose:words>"].map { |said| Statements::Quality.new("system", said) }.freeze
  end
end
