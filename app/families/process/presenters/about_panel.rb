# frozen_string_literal: true

module Web
  module Families
    module Process
      module Presenters
        # The number of the process that a sheet is about.
        class AboutPanel
          def initialize(project:, element:)
            @set = project.set
            @element = element
          end

          # @return [String, nil]
          def number = @element.kind == "process" ? Basalt::Process::Levels.number(@set, @element) : nil
        end
      end
    end
  end
end
