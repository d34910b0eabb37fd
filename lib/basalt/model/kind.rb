# frozen_string_literal: true

module Basalt
  module Model
    # A kind of element: its facts, what it is called (KindNaming), joins (KindJoining), is in or of (KindBelonging), and its table
    # in the register (KindTable). It is made of what those are made of and answers what they answer.
    #
    # An end that may point at anything has ANYTHING for its kinds. A +figure+ draws a kind that stands on sheets of any
    # notation, with +chips+ to place it by. +serving+ kinds are only there for what they are joined to.
    Kind =
      Value.of(:name, :fields, :figure, :chips, :serving, :naming, :joining, :belonging, :table) do
        self::PARTS = { naming: KindNaming, joining: KindJoining, belonging: KindBelonging, table: KindTable }.freeze
        self::INDEXED = {}.compare_by_identity
        self::ANYTHING = Object.new.tap { |kinds| def kinds.include?(_kind) = true }.freeze

        # @param said [Hash] members of the parts
        # @raise [ArgumentError] for what no part has
        def initialize(name:, fields: [], figure: nil, chips: [], serving: nil, **said)
          unknown = said.keys - self.class::PARTS.values.flat_map(&:members)
          raise ArgumentError, "a kind has no #{unknown.join(", ")}" if unknown.any?

          common = [Field.new(name: "note", type: :text)]
          super(
            name:,
            fields: (fields + common).uniq(&:name).to_h { |field| [field.name, field] }.freeze,
            figure:,
            chips:,
            serving:,
            **self.class::PARTS.transform_values { |part| part.new(**said.slice(*part.members)) }
          )
        end

        extend Delegation

        self::PARTS.each { |part, type| delegate(*type.members, to: part) }

        # @return [Boolean] whether an element of the kind can be in another
        def within?(element, container)
          containers.include?(container.kind) && (outer.nil? || outer.call(element, container))
        end

        # @return [Array<String>] names of facts by whose value elements are found
        def indexed = self.class::INDEXED[self] ||= fields.each_value.select(&:indexed).map(&:name).freeze

        def relation? = ends.any?

        # @return [Array<Field>] those that matter most
        def brief_fields = fields.values_at(*brief)

        # @return [Boolean] whether elements of the kind have a name: things and parts do unless the kind says otherwise,
        #   relations where it says so
        def named? = named.nil? ? !relation? : named

        # @return [String, nil] the name of what is declared with this noun and no name
        def default_name(noun) = default_names[noun]

        # @raise [BadFact] when the kind carries no such fact
        def field(fact)
          fields[fact] or raise BadFact, "a #{name} carries no #{fact}"
        end

        # @return [String] the word a person would use for this element
        def noun(element) = naming.noun(element, name)
      end
  end
end
