# frozen_string_literal: true

module Basalt
  # What ties processes to entities.
  module Usage
    # Which process creates, reads, alters and deletes which entity: by the flows to and from stores,
    # stores and flows being tied to entities by name.
    class Matrix
      LETTERS = %w[C R U D].freeze
      FRESH = /\b(new|created?|added|first|opened|registered)\b/i
      GONE = /\b(deleted?|removed|struck|expired|purged)\b/i
      ALTERED = /\b(changed?|altered|updated?|closed|corrected|amended|status|signed|state)\b/i

      def initialize(set)
        @set = set
      end

      # @return [Array<Model::Element>] that some store or flow is about
      def entities = @entities ||= @set.of_kind("entity").select { |entity| uses.any? { |_, id, _| id == entity.id } }

      # @return [Array<Model::Element>] that deal with an entity
      def processes = @processes ||= @set.of_kind("process").select { |process| uses.any? { |id, *| id == process.id } }

      # @return [String] letters of what the process does with the entity
      def cell(process, entity) = LETTERS.select { |letter| uses.include?([process.id, entity.id, letter]) }.join

      # @return [Array<Model::Element>] entities that no process does this with
      def never(letter) = entities.reject { |entity| uses.any? { |_, id, what| id == entity.id && what == letter } }

      # @return [String]
      def csv =
        Formats::CSV.write(
          [
            ["process", *entities.map(&:name)],
            *processes.map { |process| [process.name, *entities.map { |entity| cell(process, entity) }] }
          ]
        )

      private

      # @return [Set<Array(String, String, String)>] process, entity and letter
      def uses
        @uses ||= @set.of_kind("flow").flat_map { |flow| of(flow) }.to_set
      end

      def of(flow)
        from, to = flow.ends.map { |one| @set.element(one.target_id) }
        if from.kind == "process" && to.kind == "store"
          about(flow, to).map { |entity| [from.id, entity.id, written(flow.name, to, entity)] }
        elsif from.kind == "store" && to.kind == "process"
          about(flow, from).map { |entity| [to.id, entity.id, "R"] }
        else
          []
        end
      end

      # The entities that the flow is called by; where it is called by none, those that the store holds.
      def about(flow, store) = named(flow.name).then { |found| found.any? ? found : named("#{store.name}, #{store["holds"]}") }

      # The first that writes an entity into a store creates it, where no word tells otherwise.
      def written(words, store, entity)
        return "D" if words.match?(GONE)
        return "C" if words.match?(FRESH)
        return "U" if words.match?(ALTERED)

        first =
          @set
            .relations_of(store.id, "flow")
            .select { |flow| flow.target("to") == store.id && about(flow, store).any? { |one| one.id == entity.id } }
            .min_by(&:ordinal)
        first && first.name == words ? "C" : "U"
      end

      # Names of entities, in one or in many, as words of the text; longer names first.
      def named(text)
        rest = text.downcase
        names
          .select { |name, _| rest.match?(/\b#{Regexp.escape(name)}\b/) && (rest = rest.gsub(/\b#{Regexp.escape(name)}\b/, " ")) }
          .map(&:last)
          .uniq(&:id)
      end

      def names
        @names ||=
          @set
            .of_kind("entity")
            .flat_map { |entity| called(entity).map { |name| [name, entity] } }
            .uniq(&:first)
            .sort_by { |name, _| -name.length }
      end

      # What an entity is called, of one and of many.
      def called(entity) =
        [entity.name, *entity["synonyms"].to_s.split(/\s*,\s*/)].reject(&:empty?)
          .flat_map { |name| [name, English.plural(name)] }
          .map(&:downcase)
    end
  end
end
