# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What is done with the entities, or the tables, of a sheet as a whole.
        class SheetPanel
          def initialize(project:, sheet:)
            @set = project.set
            @sheet = sheet
          end

          def entities? = @sheet.notation_name == "entities"
          def tables? = @sheet.notation_name == "tables"
          def derivable? = entities? && @set.things_on(@sheet.id).any?

          # @return [Array(Integer, Integer)] sentences that are confirmed, and all of them
          def tally
            @tally ||=
              Basalt::Data::ReadBack.tally(@set, @set.relations_on(@sheet.id).select { |one| one.kind == "relationship" })
          end

          # @return [Array<Basalt::Data::Physical::Engine>] other engines than PostgreSQL
          def engines = Basalt::Data::Physical::Engine.all

          def confirmed = tally.first
          def sentences = tally.last
        end
      end
    end
  end
end
