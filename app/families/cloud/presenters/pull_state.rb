# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Presenters
        # How far the reading of an account is.
        class PullState < Web::Presenters::Pull
          def endpoint = @task.arguments["endpoint"]
        end
      end
    end
  end
end
