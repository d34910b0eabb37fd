# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # What deriving tables from the entities of a sheet, or of the project, would come to.
        class DerivePage
          # @param steps [Array] see Basalt::Data::Logical::Derivation
          # @param target [Basalt::Model::Sheet, nil] where the tables are already
          # @param whole [Boolean] whether all entities of the project are meant
          def initialize(set, sheet, steps:, target:, whole:)
            @set = set
            @sheet = sheet
            @steps = steps
            @target = target
            @whole = whole
          end

          attr_reader :steps, :target

          def whole? = @whole
          def of = @whole ? "this project" : @sheet.name

          # @return [Integer] entities that are not on the sheet
          def elsewhere = @elsewhere ||= @set.of_kind("entity").count { |entity| !@set.shown?(@sheet.id, entity.id) }
        end
      end
    end
  end
end
