# frozen_string_literal: true

# Which elements open into which sheets.
class CreateLinks < ActiveRecord::Migration[7.2]
  def change
    create_table :links, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.uuid :element_id, null: false
      t.uuid :sheet_id
      t.text :title
      t.text :lost
      t.bigint :ordinal, null: false
    end
    add_index :links, :element_id
    add_index :links, :sheet_id, where: "sheet_id IS NOT NULL"
    add_foreign_key :links, :elements, deferrable: :deferred
    add_foreign_key :links, :sheets, deferrable: :deferred
    reversible do |way|
      way.up { execute "ALTER TABLE links ADD CONSTRAINT links_in_order UNIQUE (project_id, ordinal) DEFERRABLE INITIALLY DEFERRED" }
    end
    add_check_constraint :links, "(sheet_id IS NULL) <> (lost IS NULL)", name: "links_lead_somewhere_or_did"
  end
end
