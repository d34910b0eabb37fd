# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # How far the reading of a database is.
        class SchemaPull < Web::Presenters::Pull
          def where = @task.arguments["where"]
        end
      end
    end
  end
end
