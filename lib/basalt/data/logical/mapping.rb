# frozen_string_literal: true

module Basalt
  module Data
    module Logical
      # Tables from entities (Elmasri and Navathe, "Fundamentals of Database Systems", chapter 9):
      # a table for each entity; weak entities keyed by their owner; what occurs many times in a
      # table of its own; relationships as foreign keys or joining tables by how many there are.
      class Mapping
        # The key of a kind is that of the entity it is a kind of; a thread does not grow with every kind on the way there.
        INHERITED = %r{\A[^/]+/general/}
        private_constant :INHERITED

        # @param set [Model::WorkingSet, Change::Draft]
        # @param entities [Array<Model::Element>, nil] to derive from; nil for all
        def initialize(set, entities: nil, conventions: Conventions.of(set))
          @set = set
          @house = conventions
          @entities = entities || set.of_kind("entity")
          @drafts = {}
          @homes = {}
        end

        # @return [Array<Table>]
        def tables
          @tables ||=
            begin
              in_order.reject { |entity| SpecialisationMapping.apart(@set, entity).any? }.each { |entity| draft_of(entity) }
              @entities.each { |entity| many_valued(entity) }
              relationships.each { |relationship| related(relationship) }
              meetings.each { |meeting| joined(meeting) }
              distinct(@drafts.values.uniq.map(&:finished))
            end
        end

        # @return [Array<View>] what derived attributes look at other tables for
        def views
          tables
          @entities.reject { |entity| SpecialisationMapping.apart(@set, entity).any? }.filter_map { |entity| view(entity) }
        end

        attr_reader :house

        # @return [Model::Element] the entity in whose table one is kept
        def home(entity) = SpecialisationMapping.home(@set, entity, @homes)

        # @return [TableDraft] of the entity, or of the one in whose table it is kept
        def draft_of(entity)
          entity = home(entity)
          @drafts.fetch(entity.id) do
            (@drafts[entity.id] = TableDraft.new(entity.id, house.table(Noun.of(@set, entity)))).tap { |draft| fill(draft, entity) }
          end
        end

        # Adds columns that refer to the key of an entity.
        #
        # @param thread [String] what the columns come from
        # @param role [String] what the entity is called here
        # @return [Array<Column>]
        def refer(draft, entity, thread:, role: entity.name, key: false, required: false, deleting: nil)
          columns =
            key_of(entity).map do |column|
              draft.add(
                Column.new(
                  thread: "#{thread}/#{column.thread.sub(INHERITED, "")}",
                  name: foreign_name(role, entity, column),
                  type: column.type,
                  key:,
                  required: key || required
                )
              )
            end
          refer_by(draft, columns, entity, thread:, deleting:)
          columns
        end

        # @param columns [Array<Column>] of the draft, as many as the key of the entity has
        def refer_by(draft, columns, entity, thread:, deleting: nil)
          table = draft_of(entity).thread
          draft.refer(Reference.new(thread:, columns: columns.map(&:thread), table:, to: key_of(entity).map(&:thread), deleting:))
        end

        # @return [TableDraft] a table that joins others
        def joining(thread, name)
          @drafts[thread] ||= TableDraft.new(thread, name)
        end

        # @param optional [Boolean] where the row may be without what has the attributes
        def attributes(draft, owner, key: false, optional: false)
          Attributes
            .new(@set, house, owner)
            .columns
            .each { |column| draft.add(key ? column : column.with(key: false, required: !optional && (column.required || column.key))) }
        end

        # The period during which a row holds; when it began is part of the key.
        def period(draft, thread)
          draft.add(Column.new(thread: "#{thread}/from", name: house.column("valid from"), type: "date", key: true, required: true))
          draft.add(Column.new(thread: "#{thread}/until", name: house.column("valid until"), type: "date"))
          draft.check(
            Check.new(
              thread: "#{thread}/period",
              expression: "#{SQLName.quote(house.column("valid until"))} > #{SQLName.quote(house.column("valid from"))}"
            )
          )
          draft.say("What held when is kept: the day from which a row holds is part of its key.")
        end

        # @return [Array<Column>] the key of the table that holds an entity
        def key_of(entity) = draft_of(entity).key

        private

        # @return [Array<Model::Element>] whose keys others have before those, so that no table waits for a long chain of others
        def in_order
          seen = Set.new
          @entities.each_with_object([]) do |entity, order|
            chain = seen.add?(entity.id) ? [entity] : []
            while (one = chain.last)
              above = above(one).find { |other| seen.add?(other.id) }
              above ? chain << above : order << chain.pop
            end
          end
        end

        def above(entity)
          owners = Dependence.of(@set, entity.id).map { |one| @set.element(one.target("owner")) }
          Specialising.generals(@set, entity.id) + owners
        end

        def view(entity)
          computed =
            Describing.of(@set, entity.id).select { |attribute| attribute["derived"] && Computed.new(@set, house, attribute).view? }
          return if computed.empty?

          table = draft_of(entity).name
          columns = computed.map { |attribute| "(#{attribute["rule"]}) AS #{SQLName.quote(house.column(attribute.name))}" }
          View.new(
            thread: "#{entity.id}/computed",
            name: house.name("#{table} computed"),
            query: "SELECT #{SQLName.quote(table)}.*, #{columns.join(", ")} FROM #{SQLName.quote(table)}",
            why: computed.map { |attribute| Computed.new(@set, house, attribute).why }.join(" ")
          )
        end

        def relationships
          ids = @entities.to_set(&:id)
          @set.of_kind("relationship").select { |one| one.targets.all? { |id| ids.include?(id) } }
        end

        def meetings
          ids = @entities.to_set(&:id)
          @set
            .of_kind("meeting")
            .select do |meeting|
              NaryRelationship.of(@set, meeting.id).then { |all| all.length > 1 && all.all? { |one| ids.include?(one.target("entity")) } }
            end
        end

        def fill(draft, entity)
          draft.say("#{house.name(entity.name) == draft.name ? "It" : "A row of #{draft.name}"} holds one #{entity.name}.")
          if Specialising.generals(@set, entity.id).any?
            KindKey.new(self, @set, entity).fill(draft)
          elsif Dependence.weak?(entity)
            weak_key(draft, entity)
          else
            OwnKey.new(self, @set, entity).fill(draft)
          end
          SpecialisationMapping.new(self, @set, entity).fill(draft)
          Describing
            .of(@set, entity.id)
            .select { |attribute| attribute["derived"] }
            .each { |attribute| Computed.new(@set, house, attribute).why&.then { |why| draft.say(why) } }
        end

        def weak_key(draft, entity)
          Dependence.of(@set, entity.id).each do |one|
            refer(draft, @set.element(one.target("owner")), thread: one.id, key: true, deleting: house.deleting)
          end
          partial = Describing.of(@set, entity.id).select { |attribute| attribute["partial"] || attribute["key"] }.map(&:id)
          Attributes
            .new(@set, house, entity)
            .columns
            .each { |column| draft.add(partial.include?(column.thread) ? column.with(key: true, required: true) : column) }
          draft.say(
            "#{Noun.of(@set, entity).first} is told from others by its owner" \
            "#{" and its partial key" if partial.any?}#{", and goes with it" if house.deleting}."
          )
        end

        # A relationship of an entity without a table is one of each of its kinds.
        def related(relationship)
          one, other =
            relationship.ends.map do |joined|
              SpecialisationMapping.apart(@set, @set.element(joined.target_id)).then { |kinds| kinds.empty? ? [nil] : kinds }
            end
          one.product(other).each { |kinds| Relation.new(self, @set, relationship, kinds).map }
        end

        def many_valued(entity)
          homes = SpecialisationMapping.apart(@set, entity)
          Describing
            .of(@set, entity.id)
            .select { |attribute| attribute["many"] || attribute["kept"] }
            .each do |attribute|
              if homes.empty?
                listed(attribute, entity, attribute.id)
              else
                homes.each { |home| listed(attribute, home, "#{attribute.id}/#{home.id}") }
              end
            end
        end

        def listed(attribute, entity, thread)
          noun = Noun.of(@set, attribute)
          draft = joining(thread, house.table(noun.with("#{entity.name} #{noun.singular}")))
          refer(draft, entity, thread: "#{thread}/owner", key: true, deleting: house.deleting)
          Attributes
            .new(@set, house, entity)
            .of(attribute)
            .each { |column| draft.add(column.with(key: attribute["many"] ? true : false, required: true)) }
          how_many = attribute["many"] ? "many #{noun.plural}" : "a #{attribute.name} at every time"
          draft.say("#{Noun.of(@set, entity).first} has #{how_many}, so they have a table of " \
                    "their own#{", and go with it" if house.deleting}.")
          period(draft, thread) if attribute["kept"]
        end

        # The key of a meeting leaves out whom the others determine.
        def joined(meeting)
          draft = joining(meeting.id, house.table(Noun.of(@set, meeting)))
          NaryRelationship
            .of(@set, meeting.id)
            .each do |one|
              joined = one.ends.last
              alone = Cardinality.read(joined.facts["cardinality"]).most == 1
              refer(
                draft,
                @set.element(joined.target_id),
                thread: one.id,
                role: joined.facts["role"] || @set.element(joined.target_id).name,
                key: !alone,
                required: true
              )
            end
          attributes(draft, meeting, key: true)
          draft.say("One row for each time that they meet; whom the others determine is not in the key.")
          period(draft, meeting.id) if meeting["kept"]
        end

        def foreign_name(role, entity, column)
          house
            .foreign_key(role, column.thread.end_with?("/key") ? "id" : column.name.delete_prefix("#{house.column(entity.name)}_"))
            .then { |name| key_of(entity).one? ? name : house.column("#{role} #{column.name}") }
        end

        # Two tables never have the same name.
        def distinct(tables)
          taken = Hash.new(0)
          tables.map do |table|
            taken[table.name.downcase] += 1
            taken[table.name.downcase] == 1 ? table : table.with(name: house.name("#{table.name} #{taken[table.name.downcase]}"))
          end
        end
      end
    end
  end
end
