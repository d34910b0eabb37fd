# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Presenters
        # The sources that can stand beside a sheet.
        class SourcesBeside
          def initialize(project:)
            @set = project.set
          end

          # @return [Array<Basalt::Model::Element>]
          def sources = @set.of_kind("source")
        end
      end
    end
  end
end
