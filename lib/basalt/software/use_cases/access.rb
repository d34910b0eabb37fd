# frozen_string_literal: true

module Basalt
  module Software
    module UseCases
      # What use cases do with what is kept, and through them who may create, read, update and delete it.
      class Access
        LETTERS = Threads::LETTERS
        KEPT = %w[entity class].freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param sheet_id [String] of a sheet of use cases
        def initialize(set, sheet_id)
          @set = set
          things = set.things_on(sheet_id)
          @use_cases = things.select { |one| one.kind == "use case" }
          @actors = things.select { |one| one.kind == "actor" }
        end

        attr_reader :use_cases, :actors

        # @return [Array<Model::Element>] the entities of the project, and classes that a use case does something with
        def columns
          @columns ||=
            begin
              classes = @use_cases.flat_map { |one| threads(one.id) }.map { |one| @set.element(one.target("source")) }
              (@set.of_kind("entity") + classes.select { |one| one.kind == "class" }).uniq(&:id)
            end
        end

        # @return [String] letters of what a use case does
        def cell(use_case_id, column_id) = letters(threads(use_case_id), column_id)

        # @return [String] letters of what an actor may do: by what it takes part in, what that includes, and what it is a kind of
        def may(actor_id, column_id) = letters(reached(actor_id).flat_map { |id| threads(id) }, column_id)

        # Changes by which a use case does this and no more.
        #
        # @param text [String] letters, in any order and case
        # @raise [Mistake] for another letter
        def putting(use_case_id, column_id, text)
          wanted = text.to_s.upcase.delete(" ,").chars.uniq
          odd = wanted - LETTERS.values
          raise Mistake, "“#{Model::Names.short(odd.first)}” is none of C (creates), R (reads), U (updates) and D (deletes)" if odd.any?

          known = threads(use_case_id).select { |one| one.target("source") == column_id }
          gone = known.reject { |one| wanted.include?(LETTERS[one["verb"]]) }.map { |one| Change::Remove.new(id: one.id) }
          gone + LETTERS.select { |_, letter| wanted.include?(letter) }.flat_map do |verb, _|
            Threads.joining(@set, use_case_id, verb, column_id)
          end
        end

        # @return [String] the matrix of actors as CSV
        def csv =
          Formats::CSV.write(
            [["actor", *columns.map(&:name)], *actors.map { |actor| [actor.name, *columns.map { |column| may(actor.id, column.id) }] }]
          )

        private

        def threads(id) = Threads.of(@set, id).select { |one| LETTERS.key?(one["verb"]) }

        def letters(threads, column_id)
          found = threads.select { |one| one.target("source") == column_id }.map { |one| LETTERS[one["verb"]] }
          (LETTERS.values & found).join
        end

        def reached(actor_id)
          own = [actor_id, *Generalising.above(@set, actor_id)].flat_map { |id| involved(id) }
          Generalising.reached(own) { |id| included(id) } | own
        end

        def involved(id) = @set.relations_of(id, "involvement").map { |one| one.target("use case") }

        def included(id) =
          @set.relations_of(id, "inclusion").select { |one| one.target("including") == id }.map { |one| one.target("included") }
      end
    end
  end
end
