# frozen_string_literal: true

module Store
  # A project's row: its name and the version that orders its changes.
  class Project < ActiveRecord::Base
    self.table_name = "projects"

    # @return [Integer]
    # @raise [ActiveRecord::RecordNotFound]
    def self.version(id)
      connection.exec_query("SELECT version FROM projects WHERE id = $1", "version", [id]).rows.dig(0, 0) or
        raise ActiveRecord::RecordNotFound, "there is no such project"
    end

    # @raise [Basalt::Mistake] when the name will not do
    def self.open(name)
      create!(id: SecureRandom.uuid, name: Basalt::Model::Names.clean(name))
    end
  end
end
