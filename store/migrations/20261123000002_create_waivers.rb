# frozen_string_literal: true

# Findings that people let stand.
class CreateWaivers < ActiveRecord::Migration[7.2]
  def change
    create_table :waivers, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.text :finding, null: false
      t.text :state, null: false
      t.text :reason, null: false
      t.text :said_by
      t.text :at, null: false
      t.bigint :ordinal, null: false
    end
  end
end
