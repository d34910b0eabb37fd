# frozen_string_literal: true

# The page gives every act an id, so that one that is sent again is answered again and not done twice.
class RememberActs < ActiveRecord::Migration[7.2]
  def change
    add_column :journal, :act_id, :uuid
    # What the answer told besides the pieces of the drawing: rows that were made, cells and lines that were refused.
    add_column :journal, :answer, :jsonb
    add_index :journal, %i[project_id act_id], unique: true, where: "act_id IS NOT NULL"
  end
end
