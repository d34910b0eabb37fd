# frozen_string_literal: true

module Basalt
  module Process
    module Checks
      # A process and the level beneath it that do not carry the same flows.
      class Unbalanced < FlowCheck
        rule "unbalanced", :warning, reads: %w[process party store system flow information item]

        def findings
          set
            .of_kind("process")
            .filter_map do |process|
              lacks = Balance.new(set, process).lacks
              next if lacks.empty?

              finding(
                [process.id, *lacks.map(&:other_id).uniq],
                "#{process.name} and the level beneath it carry different flows",
                lacks.map { |lack| words(process, lack) }.join(". ") + ".",
                repair: repair("Add what lacks", *lacks.map { |lack| adding(process, lack) })
              )
            end
        end

        private

        def words(process, lack)
          other = name(lack.other_id)
          way = lack.direction == :in ? "from #{other}" : "to #{other}"
          if lack.where == :below
            "“#{lack.name}” #{way} is not on the level beneath"
          else
            "“#{lack.name}” #{way} is on the level beneath, and #{process.name} does not carry it"
          end
        end

        def adding(process, lack)
          inside = lack.where == :below ? taker(process, lack).id : process.id
          ends = lack.direction == :in ? [["from", lack.other_id], ["to", inside]] : [["from", inside], ["to", lack.other_id]]
          Change::Add.new(kind: "flow", name: lack.name, ends:)
        end

        # The process beneath that deals with the other end already; the first or the last where none does.
        def taker(process, lack)
          children = Levels.children(set, process.id)
          role = lack.direction == :in ? "from" : "to"
          children.find { |child| set.relations_of(child.id, "flow").any? { |flow| flow.target(role) == lack.other_id } } ||
            (lack.direction == :in ? children.first : children.last)
        end
      end
    end
  end
end
