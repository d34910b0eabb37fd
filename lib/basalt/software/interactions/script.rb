# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # The course of an interaction as lines in order, those in a fragment indented.
      class Script
        KINDS = [*Kinds::ITEMS, "operand"].freeze
        INDENT = Statements::Blocks::INDENT
        OPENINGS = { Kinds::EITHER => "either", Kinds::OPTION => "optionally", Kinds::PARALLEL => "together",
                     Kinds::BREAK => "break" }.freeze
        VERBS = Sentences::VERBS.invert.freeze
        PASSIVE = Sentences::PASSIVE.invert.freeze

        # @param set [Model::WorkingSet, Change::Draft]
        # @param sheet_id [String] of a sheet of interactions
        # @return [Script, nil] nil where the sheet shows none
        def self.of(set, sheet_id) = Scope.shown(set, sheet_id)&.then { |interaction| new(set, interaction.id) }

        def initialize(set, interaction_id)
          @set = set
          @interaction_id = interaction_id
        end

        # @return [String] of what it is the text
        attr_reader :interaction_id
        alias key interaction_id

        # @param unparser [Statements::Unparser]
        # @return [Array<Array(String, String)>] id of what a line tells of and the line; no id where it closes a fragment
        def told(unparser) = lines(unparser, Course.of(@set, @interaction_id).items, 0)

        # @return [String] the words of a message or a mark
        def relation(unparser, one) = one.kind == "message" ? message(unparser, one) : mark(unparser, one)

        private

        def lines(unparser, items, depth)
          indent = INDENT * depth
          items.flat_map do |item|
            head = [[item.element.id, "#{indent}#{line(unparser, item)}"], *about(unparser, item.element, indent)]
            next head if item.branches.empty?

            [*head, *branches(unparser, item, depth), [nil, "#{indent}#{Sentences::CLOSE}"]]
          end
        end

        def about(unparser, element, indent)
          [
            *([nil, "#{indent}#{unparser.say("with the note", :colon, element["note"])}"] if element["note"]),
            *([nil, "#{indent}that is assumed"] if element.assumed)
          ].each_slice(2).to_a
        end

        def branches(unparser, item, depth)
          item.branches.each_with_index.flat_map do |branch, index|
            inner = [*([nil, "#{INDENT * (depth + 1)}this branch is assumed"] if branch.element.assumed)].each_slice(2).to_a
            inner += lines(unparser, branch.items, depth + 1)
            index.zero? ? inner : [[branch.element.id, "#{INDENT * depth}#{another(item.element, branch.element)}"], *inner]
          end
        end

        def another(fragment, operand)
          word = Sentences::BRANCHES.fetch(fragment["operator"], "or")
          fragment["operator"] == Kinds::EITHER && operand["guard"] ? "#{word} when #{operand["guard"]}" : word
        end

        def line(unparser, item)
          return relation(unparser, item.element) unless item.fragment?

          fragment(item.element, item.branches.first&.element)
        end

        def message(unparser, one)
          from, to = unparser.thing(one.target("from")), unparser.thing(one.target("to"))
          text = one.name ? [:colon, one.name] : []
          sort = one["sort"] || Kinds::CALL
          return unparser.say(to, PASSIVE.fetch(sort, "is told"), *text) if one["open"] == Kinds::FOUND
          return unparser.say(from, VERBS.fetch(sort), "nobody", *text) if one["open"] == Kinds::LOST
          return unparser.say(from, VERBS.fetch(sort), to, *text) unless one.endpoints.uniq.one?

          unparser.say(from, *(VERBS.fetch(sort) unless sort == Kinds::CALL), "itself", *text)
        end

        def mark(unparser, one)
          ends = one.endpoints.uniq.map { |id| unparser.thing(id) }
          unparser.say("#{one["sort"] || Kinds::NOTE} at", *ends.flat_map { |end_of| ["and", end_of] }.drop(1), :colon, one.name || "…")
        end

        def fragment(one, operand)
          guard = operand&.[]("guard")
          case one["operator"]
          when Kinds::REFERENCE then "refer to #{one["refers"] || "…"}"
          when Kinds::LOOP then ["repeat", *("#{one["times"]} times" if one["times"]), *("while #{guard}" if guard)].join(" ")
          else [OPENINGS.fetch(one["operator"], "either"), *("when #{guard}" if guard && one["operator"] != Kinds::PARALLEL)].join(" ")
          end
        end
      end
    end
  end
end
