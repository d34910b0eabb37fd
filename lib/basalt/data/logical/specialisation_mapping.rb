# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # How the kinds of an entity are kept: each in a table of its own beside that of the general
      # one; all in the table of the general one, told apart by one column where they exclude each
      # other and by a flag each where they overlap; or in tables that hold all of it, without one
      # for the general entity (the options of Elmasri and Navathe, 9.2: 8A, 8C and 8D, 8B).
      class SpecialisationMapping
        TOGETHER = "together"
        APART = "apart"
        STRATEGIES = ["own tables", TOGETHER, APART].freeze

        # @return [Array<Model::Element>] the kinds whose tables hold all there is of an entity; none where it has a table
        def self.apart(set, entity) = entity["strategy"] == APART && obstacle(set, entity).nil? ? Specialising.kinds(set, entity.id) : []

        # Why an entity cannot do without a table of its own.
        #
        # @return [String, nil] in words
        def self.obstacle(set, entity)
          name = entity.name
          return "nothing is a kind of #{name}" if Specialising.kinds(set, entity.id).empty?
          return "#{English.article(name)} #{name} need not be any of them" unless entity["complete"]
          return "#{English.article(name)} #{name} is a kind of something itself" if Specialising.generals(set, entity.id).any?
          if Dependence.weak?(entity) || set.relations_of(entity.id, "dependence").any?
            return "others are told apart by the #{name} they belong to"
          end

          "#{name} meets others, which need one table to refer to" if set.relations_of(entity.id, "participation").any?
        end

        # @return [Model::Element] the entity in whose table one is kept
        def self.home(set, entity)
          general = Specialising.generals(set, entity.id).first
          general && general["strategy"] == TOGETHER ? home(set, general) : entity
        end

        def initialize(mapping, set, entity)
          @mapping = mapping
          @set = set
          @entity = entity
        end

        def fill(draft)
          kinds = Specialising.kinds(@set, @entity.id)
          if @entity["strategy"] == APART
            draft.say("Its kinds cannot have the only tables: #{SpecialisationMapping.obstacle(@set, @entity)}.")
          end
          return if kinds.empty? || @entity["strategy"] != TOGETHER

          told = @entity["split"] == "overlapping" ? flags(draft, kinds) : discriminator(draft, kinds)
          kinds.zip(told) do |kind, other|
            columns = Attributes.new(@set, @mapping.house, kind).columns
            kept = columns.map { |column| draft.add(column.with(key: false, required: false)) }
            needed(draft, kind, other, kept.zip(columns).select { |_, column| column.required && column.generated.nil? }.map(&:first))
            SpecialisationMapping.new(@mapping, @set, kind).fill(draft)
          end
        end

        private

        # What a row of a kind has to have.
        #
        # @param other [String] the condition by which a row is of another kind
        def needed(draft, kind, other, columns)
          return if columns.empty?

          all = columns.map { |column| "#{SQLName.quote(column.name)} IS NOT NULL" }.join(" AND ")
          draft.check(Check.new(thread: "#{kind.id}/needed", expression: "#{other} OR #{columns.one? ? all : "(#{all})"}"))
        end

        # @return [Array<String>] for each kind the condition by which a row is not of it
        def flags(draft, kinds)
          columns = kinds.map do |kind|
            draft.add(
              Column.new(
                thread: "#{kind.id}/flag",
                name: @mapping.house.column("is #{kind.name}"),
                type: "boolean",
                required: true,
                default: "false"
              )
            )
          end
          names = columns.map { |column| SQLName.quote(column.name) }
          draft.check(Check.new(thread: "#{@entity.id}/kinds", expression: names.join(" OR "))) if @entity["complete"]
          draft.say("Its kinds are kept in the same row, with a flag for each, since one can be several of them.")
          names.map { |name| "NOT #{name}" }
        end

        # @return [Array<String>] for each kind the condition by which a row is not of it

        def discriminator(draft, kinds)
          column =
            draft.add(
              Column.new(
                thread: "#{@entity.id}/kind",
                name: @mapping.house.column("#{@entity.name} kind"),
                type: "varchar(60)",
                required: @entity["complete"] ? true : false
              )
            )
          told = SQLName.quote(column.name)
          words = kinds.map { |kind| SQLName.text(kind.name) }
          draft.check(Check.new(thread: "#{@entity.id}/kinds", expression: "#{told} IN (#{words.join(", ")})"))
          draft.say("Its kinds are kept in the same row; #{column.name} tells which.")
          words.map { |word| "#{told} <> #{word}" }
        end
      end
    end
  end
end
