# frozen_string_literal: true

module Web
  module Families
    module Software
      module Presenters
        # What has to be done for classes to follow the entities or tables of a sheet, or entities its classes.
        class FollowedPage
          # @param to [String] +classes+ or +entities+
          # @param derivation [#steps]
          # @param target [Basalt::Model::Sheet, nil] where these are
          def initialize(to, sheet, derivation, target)
            @to = to
            @sheet = sheet
            @derivation = derivation
            @target = target
          end

          attr_reader :to, :target

          def title = "#{@to.capitalize} from #{@sheet.name}"
          def steps = @derivation.steps
        end
      end
    end
  end
end
