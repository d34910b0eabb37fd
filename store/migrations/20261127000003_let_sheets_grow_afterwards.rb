# frozen_string_literal: true

# A sheet that has grown may be laid out afresh after the act that it grew by: an entry of its own, undone with that act.
class LetSheetsGrowAfterwards < ActiveRecord::Migration[7.2]
  def up
    remove_check_constraint :journal, "act IN ('act', 'undo', 'redo')"
    add_check_constraint :journal, "act IN ('act', 'undo', 'redo', 'growth')"
    add_index :journal, %i[project_id of_number], where: "act = 'growth'"
  end

  def down
    execute "DELETE FROM journal WHERE act = 'growth'"
    remove_index :journal, %i[project_id of_number]
    remove_check_constraint :journal, "act IN ('act', 'undo', 'redo', 'growth')"
    add_check_constraint :journal, "act IN ('act', 'undo', 'redo')"
  end
end
