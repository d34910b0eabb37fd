# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # What carries each use case: its interactions, the operations that they ask for, the classes of these and the tables behind them;
      # and what is missing on the way.
      class Agreement
        # +asked+ are the words of the message; +holes+ are the columns in which something is missing, each with the finding that says so.
        Row = Value.of(:use_case, :interaction, :message, :asked, :operation, :type, :kept, :holes)
        COLUMNS = ["use case", "interaction", "asks for", "operation", "class", "kept in", "missing"].freeze
        CARRIED = "is carried by"

        # @param set [Model::WorkingSet, Model::PinnedSet, Change::Draft]
        def initialize(set)
          @set = set
          @courses = Courses.new(set)
        end

        # @return [Array<Row>] use cases in order of making
        def rows = @rows ||= @set.of_kind("use case").flat_map { |use_case| of(use_case) }

        # @return [Array<Model::Element>] use cases that need an operation, and would lack it
        def needing(operation_id) = rows.select { |row| row.operation&.id == operation_id }.map(&:use_case).uniq(&:id)

        # @return [Array<Model::Element>] operations that something needs, in order of making
        def operations = rows.filter_map(&:operation).uniq(&:id).sort_by(&:ordinal)

        def csv = Formats::CSV.write([COLUMNS, *rows.map { |row| cells(row) }])

        # @return [Array<String>] by COLUMNS
        def cells(row)
          [
            row.use_case.name,
            row.interaction&.name,
            row.asked,
            row.operation&.then { |one| Classes::Facts.text(one) },
            row.type&.name,
            row.kept&.map(&:name)&.join(", "),
            row.holes.keys.join(", ")
          ].map(&:to_s)
        end

        private

        def of(use_case)
          threads = UseCases::Threads.to(@set, use_case.id).select { |one| one["verb"] == "comes from" }
          interactions = threads.map { |one| @set.element(one.target("of")) }.select { |one| one.kind == Kinds::INTERACTION }
          found = interactions.flat_map { |one| traced(use_case, one) } + carried(use_case)
          return found unless found.empty?

          [Row.new(use_case:, holes: { "interaction" => "use-case-without-interaction" })]
        end

        # Straight to an operation, without an interaction.
        def carried(use_case)
          UseCases::Threads.of(@set, use_case.id).select { |one| one["verb"] == CARRIED }.filter_map do |thread|
            operation = @set.element(thread.target("source"))
            next unless operation.kind == "operation"

            row(use_case, nil, nil, operation.name, operation, @set.element(operation.owner_id))
          end
        end

        def traced(use_case, interaction)
          asked = asked(interaction, Set.new)
          return [Row.new(use_case:, interaction:, holes: { "asks for" => nil })] if asked.empty?

          asked.map { |message, calling, to|
            call(use_case, interaction, message, calling, to)
          }.uniq { |row| [row.asked, row.type&.id, row.operation&.id] }
        end

        # With what the interactions ask for that it refers to.
        def asked(interaction, seen)
          return [] unless seen.add?(interaction.id)

          course = @courses.all.find { |one| one.interaction.id == interaction.id }.course
          course.flat.flat_map do |item|
            next References.of(@set, item.element).then { |other| other ? asked(other, seen) : [] } if item.fragment?

            item.message? ? [asking(item.element)].compact : []
          end
        end

        # Actors are asked for nothing that is built.
        def asking(message)
          return unless [nil, Kinds::CALL, Kinds::ASYNCHRONOUS].include?(message["sort"]) && message["open"] != Kinds::LOST

          to = @set.element(message.target("to"))
          calling = Calling.of(message.name)
          [message, calling, to] if calling && to["nature"] != "actor"
        end

        def call(use_case, interaction, message, calling, to)
          type = Typing.of(@set, to)
          operation = @courses.operations(to).find { |one| one.name == calling.name }
          row(use_case, interaction, message, calling.name, operation, type)
        end

        def row(use_case, interaction, message, asked, operation, type)
          kept = type ? behind(type) : []
          holes = {}
          holes["class"] = "class-unknown" unless type
          holes["operation"] = "operation-not-in-class" if type&.kind == "class" && operation.nil?
          holes["kept in"] = nil if type&.kind == "class" && kept.empty? && threaded?
          Row.new(use_case:, interaction:, message:, asked:, operation:, type:, kept:, holes:)
        end

        # @return [Array<Model::Element>] the tables from which a class comes, or those of the entity from which it does
        def behind(type)
          sources = UseCases::Threads.of(@set, type.id).select { |one| one["verb"] == "comes from" }.map { |one| @set.element(one.target("source")) }
          sources.flat_map { |one| one.kind == "table" ? [one] : (one.kind == "entity" ? tables(one) : []) }.uniq(&:id)
        end

        def tables(entity)
          @set.of_kind(*(Model::Catalogue.kinds.key?("table") ? ["table"] : [])).select { |one| one["thread"] == entity.id }
        end

        # Where no class comes from anything kept, nobody expects it.
        def threaded?
          @threaded = @set.of_kind("class").any? { |one| behind(one).any? } if @threaded.nil?
          @threaded
        end
      end
    end
  end
end
