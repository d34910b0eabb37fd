# frozen_string_literal: true

module Basalt
  module Brief
    # A new version of a source: its phrases come to where they stand now; of those that changed
    # or went it is kept what became of them.
    module Revising
      GONE = "(gone)"

      module_function

      # @param before [String] the text of the version before
      # @param after [String] the new one
      # @return [Array] changes
      def changes(set, source, before, after)
        places = Anchoring.new(before, after).places(Marking.phrases(set, source.id))
        version = (source["version"] || 1) + 1
        [Change::Set.new(id: source.id, fact: "version", value: version), *places.flat_map { |place| settled(set, place, version) }]
      end

      def settled(set, place, version)
        facts =
          case place.state
          when :holds
            { "at" => place.at, "became" => nil }
          when :changed
            { "at" => place.at, "became" => place.words[0, 1900] }
          else
            { "became" => GONE }
          end
        { **facts, "version" => version }.reject { |fact, value| set.element(place.phrase_id)[fact] == value }
          .map { |fact, value| Change::Set.new(id: place.phrase_id, fact:, value: value.is_a?(Integer) ? value.to_s : value) }
      end

      # The new words stand for what the old ones did.
      #
      # @return [Array] changes
      def accepting(phrase)
        { "quote" => phrase["became"], "name" => Model::Names.short(phrase["became"], 120), "became" => nil }.map do |fact, value|
          Change::Set.new(id: phrase.id, fact:, value:)
        end
      end
    end
  end
end
