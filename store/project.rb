# frozen_string_literal: true

module Store
  # A project's row: its name and the version that orders its changes.
  class Project < ActiveRecord::Base
    self.table_name = "projects"

    # @raise [Basalt::Mistake] when the name will not do
    def self.open(name)
      create!(id: SecureRandom.uuid, name: Basalt::Model::Names.clean(name))
    end
  end
end
