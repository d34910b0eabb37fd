# frozen_string_literal: true

# What an act altered is packed by the quicker of the two ways that the server has, where it has both.
class PackTheJournal < ActiveRecord::Migration[7.2]
  def up
    ways = select_value("SELECT enumvals FROM pg_settings WHERE name = 'default_toast_compression'").to_s
    execute "ALTER TABLE journal ALTER COLUMN deltas SET COMPRESSION lz4" if ways.include?("lz4")
  end

  def down = execute("ALTER TABLE journal ALTER COLUMN deltas SET COMPRESSION pglz")
end
