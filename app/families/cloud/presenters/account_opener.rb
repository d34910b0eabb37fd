# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # From where an account can be read, and what the key needs for that.
        class AccountOpener
          def initialize(project:)
            @project = project
          end

          def endpoints = Endpoints.all
          def rights = Collector::RIGHTS
        end
      end
    end
  end
end
