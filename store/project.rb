# frozen_string_literal: true

module Store
  # A project's row: its name and the version that orders its changes.
  class Project < ActiveRecord::Base
    self.table_name = "projects"

    # @return [Integer]
    # @raise [ActiveRecord::RecordNotFound]
    def self.version(id)
      connection.exec_query("SELECT version FROM projects WHERE id = $1", "version", [id], prepare: true).rows.dig(0, 0) or
        raise ActiveRecord::RecordNotFound, "there is no such project"
    end

    # @return [Integer] what PostgreSQL's advisory locks know the project by
    def self.lock_key(id) = id.delete("-")[0, 15].to_i(16)

    # While the block runs, no other process acts on the project.
    def self.alone(id)
      key = lock_key(id)
      connection.exec_query("SELECT 1 FROM pg_advisory_lock($1)", "alone", [key])
      yield
    ensure
      connection.exec_query("SELECT pg_advisory_unlock($1)", "alone", [key]) if key && connection.active?
    end

    # Whoever works on it sees the name at the next version.
    def rename(name) = self.class.where(id:).where.not(name:).update_all(["name = ?, version = version + 1", name])

    # With all that belongs to it.
    def remove
      self.class.where(id:).delete_all
      ProjectSession.leave(id)
    end

    # @raise [Basalt::Mistake] when the name will not do
    def self.open(name)
      create!(id: SecureRandom.uuid, name: Basalt::Model::Names.clean(name))
    end
  end
end
