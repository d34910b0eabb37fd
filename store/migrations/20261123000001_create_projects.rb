# frozen_string_literal: true

# The first tables: what a project holds, and the journal of what was done.
class CreateProjects < ActiveRecord::Migration[7.2]
  def change
    create_table :projects, id: :uuid, default: nil do |t|
      t.text :name, null: false
      t.bigint :version, null: false, default: 0
      t.timestamptz :created_at, null: false, default: -> { "now()" }
    end

    create_elements
    create_ends
    create_sheets
    create_placements
    create_journal
    create_intakes
  end

  private

  def create_elements
    create_table :elements, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: false
      t.text :kind, null: false
      t.text :name
      t.virtual :normal_name, type: :text, as: "lower(name)", stored: true
      t.uuid :owner_id
      t.integer :rank
      t.uuid :container_id
      t.jsonb :facts, null: false, default: {}
      t.boolean :assumed, null: false, default: false
      t.text :said_by
      t.text :external_id
      t.bigint :ordinal, null: false
      t.index %i[project_id kind normal_name]
      t.index %i[project_id external_id], where: "external_id IS NOT NULL"
      t.index :owner_id, where: "owner_id IS NOT NULL"
      t.index :container_id, where: "container_id IS NOT NULL"
    end
    %i[owner_id container_id].each { |column| add_foreign_key :elements, :elements, column:, deferrable: :deferred }
  end

  def create_ends
    create_table :ends, primary_key: %i[element_id position] do |t|
      t.uuid :element_id, null: false
      t.integer :position, null: false
      t.text :role, null: false
      t.uuid :target_id, null: false
      t.jsonb :facts, null: false, default: {}
      t.index :target_id
    end
    add_foreign_key :ends, :elements, column: :element_id, on_delete: :cascade, deferrable: :deferred
    add_foreign_key :ends, :elements, column: :target_id, deferrable: :deferred
  end

  def create_sheets
    create_table :sheets, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: false
      t.text :name, null: false
      t.text :notation, null: false
      t.text :number, null: false
      t.text :band, null: false
      t.text :revision, :status, :drawn_by, :dated
      t.bigint :ordinal, null: false
      t.index %i[project_id name], unique: true
    end
  end

  def create_placements
    create_table :placements, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.references :sheet, type: :uuid, null: false, foreign_key: { on_delete: :cascade, deferrable: :deferred }, index: true
      t.references :element, type: :uuid, null: false, foreign_key: { on_delete: :cascade, deferrable: :deferred }, index: true
      t.float :x, :y, :w, :h
      t.boolean :pinned, null: false, default: false
      t.jsonb :shape, :route
      t.bigint :ordinal, null: false
    end
  end

  def create_journal
    create_table :journal, primary_key: %i[project_id number] do |t|
      t.uuid :project_id, null: false
      t.bigint :number, null: false
      t.uuid :sheet_id
      t.text :act, null: false
      t.bigint :of_number
      t.text :state, null: false
      t.text :said, null: false
      t.text :said_by, null: false
      t.timestamptz :at, null: false, default: -> { "now()" }
      t.jsonb :deltas, null: false
      t.index %i[project_id sheet_id state number]
    end
    add_foreign_key :journal, :projects, on_delete: :cascade
    add_check_constraint :journal, "act IN ('act', 'undo', 'redo')"
    add_check_constraint :journal, "state IN ('done', 'undone', 'dropped', 'record')"
  end

  # Inventories on their way in: the uploaded table and how far it has come.
  def create_intakes
    create_table :intakes, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.uuid :sheet_id
      t.text :file_name, null: false
      t.binary :content, null: false
      t.jsonb :mapping
      t.text :state, null: false, default: "mapping"
      t.integer :done, null: false, default: 0
      t.integer :total, null: false, default: 0
      t.boolean :cancelled, null: false, default: false
      t.jsonb :result
      t.timestamptz :created_at, null: false, default: -> { "now()" }
    end
  end
end
