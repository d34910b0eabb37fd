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
          noun = Noun.of(set, entity)
          return "nothing is a kind of #{noun}" if Specialising.kinds(set, entity.id).empty?
          return "#{noun.one} need not be any of them" unless entity["complete"]
          return "#{noun.one} is a kind of something itself" if Specialising.generals(set, entity.id).any?
          if Dependence.weak?(entity) || set.relations_of(entity.id, "dependence").any?
            return "others are told apart by the #{noun} they belong to"
          end

          "#{noun} meets others, which need one table to refer to" if set.relations_of(entity.id, "participation").any?
        end

        # A kind of several that are kept in different tables has one of its own.
        #
        # @param known [Hash{String => Model::Element}] by id of the entity, filled for all on the way up
        # @return [Model::Element] the entity in whose table one is kept
        def self.home(set, entity, known = {})
          passed = []
          until known[entity.id]
            above = above_home(set, entity, known) or break known[entity.id] = entity
            passed << entity.id
            entity = above
          end
          passed.each { |id| known[id] = known[entity.id] }
          known[entity.id]
        end

        # @return [Model::Element, nil] an entity that is kept where one is, nearer to the table; nil for the one that has the table
        def self.above_home(set, entity, known)
          generals = Specialising.generals(set, entity.id)
          return unless generals.any? && generals.all? { |general| general["strategy"] == TOGETHER }

          homes = generals.one? ? generals : generals.map { |general| home(set, general, known) }.uniq
          homes.first if homes.one?
        end
        private_class_method :above_home

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
          return if kinds.empty?
          return (say_what_is_not_held(draft, kinds) unless @entity["strategy"] == APART) if @entity["strategy"] != TOGETHER

          waiting = told(draft, kinds)
          while (kind, other = waiting.pop)
            keep(draft, kind, other)
            waiting.concat(SpecialisationMapping.new(@mapping, @set, kind).together(draft))
          end
        end

        # Those of its kinds that are kept in the same table, the last first, each with the condition by which a row is of another kind.
        #
        # @return [Array<Array(Model::Element, String)>]
        def together(draft)
          kinds = Specialising.kinds(@set, @entity.id)
          return told(draft, kinds) if kinds.any? && @entity["strategy"] == TOGETHER

          fill(draft)
          []
        end

        private

        def told(draft, kinds)
          conditions = @entity["split"] == "overlapping" ? flags(draft, kinds) : discriminator(draft, kinds)
          home = @mapping.home(@entity).id
          kinds.zip(conditions).select { |kind, _| @mapping.home(kind).id == home }.reverse
        end

        # Each in a table of its own, the general entity too.
        def say_what_is_not_held(draft, kinds)
          how_many = [@entity["complete"], @entity["split"] == "disjoint" && kinds.length > 1].map { |one| one ? true : false }
          words = { [true, true] => "exactly", [true, false] => "at least", [false, true] => "at most" }[how_many] or return
          draft.say("That #{Noun.of(@set, @entity).one} is #{words} one of #{English.list(kinds.map(&:name))} is not held by the database.")
        end

        def keep(draft, kind, other)
          columns = Attributes.new(@set, @mapping.house, kind).columns
          kept = columns.map { |column| draft.add(column.with(key: false, required: false)) }
          needed(draft, kind, other, kept.zip(columns).select { |_, column| column.required && column.generated.nil? }.map(&:first))
          OwnKey.new(@mapping, @set, kind).held(draft)
        end

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
