# frozen_string_literal: true

# The words of sources, version by version; the element that stands for a source holds none of them.
class CreateSourceTexts < ActiveRecord::Migration[7.2]
  def change
    create_table :source_texts, primary_key: %i[source_id version] do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.uuid :source_id, null: false
      t.integer :version, null: false
      t.text :content, null: false
      t.text :said_by
      t.timestamptz :at, null: false, default: -> { "now()" }
    end
    # A source that was struck can come back by undoing; its words wait for it.
  end
end
