# frozen_string_literal: true

require "digest"
require "json"

module Basalt
  module Change
    # Two things may share a name as long as a statement can still tell them apart.
    module Uniqueness
      module_function

      # @raise [Mistake] when another element could not be told from this one
      def check(draft, element)
        return if element.name.nil? || element.relation?

        mark = of(element)
        twin =
          near(draft, element).find do |other|
            other.id != element.id && other.kind == element.kind && other.name == element.name && of(other) == mark
          end
        raise Refusals::NameTaken.new(element.noun, element.name) if twin
      end

      # @return [String, nil] the same for two elements that could not be told apart, as a UUID; nil where nothing has to be
      def digest(element)
        return if element.name.nil? || element.relation?

        Digest::MD5.hexdigest(JSON.generate([element.kind, element.name, *of(element)])).unpack("a8a4a4a4a12").join("-")
      end

      # A part has only its siblings to be told from: these, or what is called alike, whichever are fewer.
      def near(draft, element)
        places = { called: Model::Queries.called(element.kind, element.name), owner: element.owner_id }.compact
        draft.elements.by(*places.min_by { |index, key| draft.elements.at_most(index, key) })
      end

      def of(element)
        [element.owner_id] + element.description.distinct_by.map { |key| key == "container" ? element.container_id : element.facts[key] }
      end
    end
  end
end
