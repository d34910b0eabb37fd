# frozen_string_literal: true

module Basalt
  module Data
    module Physical
      # SQL that speaks of tables, views and other objects by name. Where one of these is called otherwise it follows, as it does in a
      # database; what stands in the bodies of functions does not, there as here.
      module Mentions
        # Facts that hold SQL, by kind, with what goes before to make a statement of it.
        FACTS = {
          "addition" => { "written" => "" }, Kinds::OBJECT => { "written" => "" }, "view" => { "query" => "" },
          "check" => { "expression" => "SELECT " },
          "column" => { "default" => "SELECT ", "generated" => "SELECT ", "type" => "SELECT NULL::" },
          "constraint" => { "as_written" => nil }
        }.freeze

        module_function

        # @param draft [Change::Draft] in which the element is about to be renamed
        # @param element [Model::Element] a table, a view or another object
        # @param name [String] the new one
        def follow(draft, element, name)
          old = Renamed.new(Needs.parts(element), Needs.parts(element.with(name:)))
          draft.of_kind(*FACTS.keys).each do |one|
            FACTS[one.kind].each { |fact, before| respell(draft, one, fact, before || AsWritten::BEGINNINGS[one["type"]], old) }
          end
        end

        # @param draft [Change::Draft] in which things may have got other names
        def settle(draft)
          draft.elements.differences.each do |_, before, after|
            next unless before && after && %w[table view].push(Kinds::OBJECT).include?(after.kind) && before.name != after.name

            follow(draft, before, after.name)
          end
        end

        def respell(draft, element, fact, before, old)
          text = element[fact] or return
          return unless old.perhaps_in?(text)

          now = old.in(before + text).delete_prefix(before)
          draft.apply(Change::Set.new(id: element.id, fact:, value: now)) unless now == text
        rescue PostgresParser::ParseError
          nil
        end
      end
    end
  end
end
