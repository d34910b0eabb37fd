# frozen_string_literal: true

module Basalt
  module Software
    module Interactions
      # An item of an interaction in words, as people are told what happens.
      module Telling
        module_function

        # @return [String]
        def of(set, element)
          case element.kind
          when "message" then message(set, element)
          when "mark" then "#{set.element(element.target("at")).name}: #{element.name}"
          else "see #{element["refers"] || "another interaction"}"
          end
        end

        def message(set, one)
          from, to = one.endpoints.map { |id| set.element(id)&.name }
          text = one.name ? ": #{one.name}" : ""
          sort = one["sort"] || Kinds::CALL
          return "#{to} #{Script::PASSIVE.fetch(sort, "is told")}#{text}" if one["open"] == Kinds::FOUND

          to = "nobody" if one["open"] == Kinds::LOST
          return "#{from} #{Script::VERBS.fetch(sort)} #{to}#{text}" unless from == to

          "#{from} itself#{text}"
        end
      end
    end
  end
end
