# frozen_string_literal: true

# What a sheet opens.
class AddSubjects < ActiveRecord::Migration[7.2]
  def change
    add_column :sheets, :subject_id, :uuid
    add_index :sheets, :subject_id, where: "subject_id IS NOT NULL"
    add_foreign_key :sheets, :elements, column: :subject_id, deferrable: :deferred
  end
end
