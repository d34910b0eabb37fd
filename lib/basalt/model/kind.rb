# frozen_string_literal: true

module Basalt
  module Model
    # A kind of element. +nouns+ are the words that declare one, each with the facts it
    # sets; +brief+ the facts that matter most; +ends+, for relations, are the roles with the kinds each may point at, and
    # +end_fields+ what an end says of itself.
    # An end that may point at anything has ANYTHING for its kinds.
    # A +figure+ draws a kind that stands on sheets of any notation, with +chips+ to place it by.
    # +owner+ are the kinds that it may be a part of, +ordered+ the fact by which its rows are in order,
    # +moving+ the change by which it goes into a container, where more goes along than it alone.
    # +serving+ kinds are only there for what they are joined to.
    # +marked+ makes a name of the words of a phrase, for kinds that a phrase in a text can become.
    # +columns+ are keys of its table in their order with their titles, where these are not the usual ones.
    # An +open_end+ is the role of an end that is at the first end itself as long as nothing is there.
    # +making+ gives by role the kind that a name nobody knows becomes in the register.
    # +path+ is what stands between the name of what a part belongs to and its own.
    # +distinct_by+ lists what, beside the name, tells two of one name apart.
    Kind =
      Value.of(
        :name,
        :nouns,
        :fields,
        :ends,
        :owner,
        :containers,
        :distinct_by,
        :default_names,
        :plural,
        :role,
        :named,
        :brief,
        :end_fields,
        :figure,
        :chips,
        :ordered,
        :moving,
        :serving,
        :marked,
        :columns,
        :open_end,
        :making,
        :path
      ) do
        self::INDEXED = {}.compare_by_identity
        self::ANYTHING = Object.new.tap { |kinds| def kinds.include?(_kind) = true }.freeze

        def initialize(
          fields: [],
          ends: {},
          nouns: {},
          containers: [],
          distinct_by: [],
          default_names: {},
          brief: [],
          end_fields: [],
          chips: [],
          owner: [],
          path: ".",
          **rest
        )
          common = [Field.new(name: "note", type: :text)]
          super(
            fields: (fields + common).uniq(&:name).to_h { |field| [field.name, field] }.freeze,
            ends:,
            nouns:,
            containers:,
            distinct_by:,
            default_names:,
            brief:,
            end_fields:,
            chips:,
            owner:,
            path:,
            **rest
          )
        end

        # @return [Array<String>] names of facts by whose value elements are found
        def indexed = self.class::INDEXED[self] ||= fields.each_value.select(&:indexed).map(&:name).freeze

        def relation? = ends.any?

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
        def noun(element)
          role ? element.facts.fetch(role, name) : name
        end
      end
  end
end
