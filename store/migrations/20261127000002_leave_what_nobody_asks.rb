# frozen_string_literal: true

# Projects are looked through in memory: by name and by where something came from nobody asks the database, and every row that is
# written pays for what is kept for it. What belongs to a project is found by +elements_told_apart+.
class LeaveWhatNobodyAsks < ActiveRecord::Migration[7.2]
  def up
    remove_index :elements, %i[project_id external_id]
    remove_index :elements, %i[project_id kind normal_name]
    remove_column :elements, :normal_name
  end

  def down
    add_column :elements, :normal_name, :virtual, type: :text, as: "lower(name)", stored: true
    add_index :elements, %i[project_id kind normal_name]
    add_index :elements, %i[project_id external_id], where: "external_id IS NOT NULL"
  end
end
