# frozen_string_literal: true

# What no two rows of a project may share, whoever writes them: the place in the order of making,
# the number of a sheet, and what tells two things of one name apart.
class BeUnique < ActiveRecord::Migration[7.2]
  TABLES = %i[elements sheets placements waivers].freeze

  def up
    TABLES.each { |table| renumber(table) }
    execute "UPDATE sheets s SET number = s.number || '-' || s.ordinal WHERE EXISTS (SELECT 1 FROM sheets o WHERE o.project_id = " \
            "s.project_id AND o.number = s.number AND o.ordinal < s.ordinal)"
    TABLES.each do |table|
      execute "ALTER TABLE #{table} ADD CONSTRAINT #{table}_in_order UNIQUE (project_id, ordinal) DEFERRABLE INITIALLY DEFERRED"
    end
    execute "ALTER TABLE sheets ADD CONSTRAINT sheets_numbered UNIQUE (project_id, number) DEFERRABLE INITIALLY DEFERRED"
    remove_index :sheets, %i[project_id name]
    execute "ALTER TABLE sheets ADD CONSTRAINT sheets_named UNIQUE (project_id, name) DEFERRABLE INITIALLY DEFERRED"
    # What is there already is compared when it is next altered.
    add_column :elements, :identity, :uuid
    execute "ALTER TABLE elements ADD CONSTRAINT elements_told_apart UNIQUE (project_id, identity) DEFERRABLE INITIALLY DEFERRED"
  end

  private

  # Two processes could give one place twice; the later row goes to the end.
  def renumber(table)
    execute <<~SQL
      WITH twice AS (SELECT id, project_id, row_number() OVER (PARTITION BY project_id, ordinal ORDER BY id) AS place FROM #{table}),
           moved AS (SELECT t.id, m.most + row_number() OVER (PARTITION BY t.project_id ORDER BY t.id) AS ordinal
                     FROM twice t JOIN (SELECT project_id, max(ordinal) AS most FROM #{table} GROUP BY project_id) m ON m.project_id = t.project_id WHERE t.place > 1)
      UPDATE #{table} x SET ordinal = moved.ordinal FROM moved WHERE moved.id = x.id
    SQL
  end
end
