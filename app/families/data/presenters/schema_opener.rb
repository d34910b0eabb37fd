# frozen_string_literal: true

module Web
  module Families
    module Data
      module Presenters
        # From where a database can be read, and what the role needs for that.
        class SchemaOpener
          def initialize(project:)
            @project = project
          end

          def servers = Databases.all
          def reading_role = Store::LiveDatabase::ROLE
        end
      end
    end
  end
end
