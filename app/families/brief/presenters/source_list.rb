# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # The sources of a project, with how much was marked in each.
        module SourceList
          Row = Basalt::Value.of(:id, :name, :origin, :dated, :version, :phrases, :changed)

          # @return [Array<Row>]
          def self.of(set)
            set.of_kind("source").map do |source|
              phrases = Basalt::Brief::Marking.phrases(set, source.id)
              Row.new(
                id: source.id,
                name: source.name,
                origin: source["origin"],
                dated: source["dated"],
                version: source["version"] || 1,
                phrases: phrases.length,
                changed: phrases.count { |phrase| phrase["became"] }
              )
            end
          end
        end
      end
    end
  end
end
