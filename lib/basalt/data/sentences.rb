# frozen_string_literal: true

module Basalt
  module Data
    # The sentences about conceptual data models.
    module Sentences
      ENTITY = "thing(entity)"
      CLAUSE = "[a|an] <one:#{ENTITY}> <verb:phrase> [<cardinality:cardinality>] <other:#{ENTITY}>".freeze
      BACK = "[a|an] <back_one:#{ENTITY}> <back:phrase> [<back_cardinality:cardinality>] <back_other:#{ENTITY}>".freeze

      FORMS = [
        Statements::Form.new("<entity:#{ENTITY}> has <attributes:attributes>", unsay: ->(context, said, other) {
          Describing.withdraw(context, said, other)
        }) { |context, said| Describing.add(context, said) },
        Statements::Form.new("#{CLAUSE} [; #{BACK}]") { |context, said| Relating.join(context, said) }
      ].freeze

      QUALITIES = AttributesSlot::WORDS.map { |word| Statements::Quality.new("attribute", word, fact: word) }.freeze
    end
  end
end
