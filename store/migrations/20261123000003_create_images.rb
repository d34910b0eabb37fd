# frozen_string_literal: true

# What is hidden and folded on a sheet, and images that are put on sheets.
class CreateImages < ActiveRecord::Migration[7.2]
  def change
    add_column :sheets, :view, :jsonb
    create_table :images, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.text :name, null: false
      t.text :type, null: false
      t.float :width, :height, null: false
      t.binary :content, null: false
      t.timestamptz :created_at, null: false, default: -> { "now()" }
    end
  end
end
