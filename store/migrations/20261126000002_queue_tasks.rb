# frozen_string_literal: true

# The queue, and the tasks in it: what takes longer than anybody waits for an answer.
class QueueTasks < ActiveRecord::Migration[7.2]
  def up
    Store::Queue.prepare
    Que.migrate!(version: Que::Migrations::CURRENT_VERSION)
    create_tasks
    move_intakes
  end

  def down
    drop_table :tasks
    Store::Queue.prepare
    Que.migrate!(version: 0)
  end

  private

  def create_tasks
    create_table :tasks, id: :uuid, default: nil do |t|
      t.references :project, type: :uuid, null: false, foreign_key: { on_delete: :cascade }, index: true
      t.text :kind, null: false
      t.jsonb :arguments, null: false, default: {}
      t.text :said_by, null: false
      t.text :state, null: false, default: "waiting"
      t.integer :done, null: false, default: 0
      t.integer :total, null: false, default: 0
      t.boolean :cancelled, null: false, default: false
      t.jsonb :result
      t.binary :content
      t.text :content_type, :file_name
      t.timestamptz :created_at, null: false, default: -> { "now()" }
    end
    add_check_constraint :tasks, "state IN ('waiting', 'running', 'done', 'refused', 'cancelled')"
  end

  # An inventory that was on its way is a task like any other; what was broken off has taken nothing.
  def move_intakes
    execute <<~SQL
      INSERT INTO tasks (id, project_id, kind, arguments, said_by, state, done, total, cancelled, result, created_at)
      SELECT gen_random_uuid(), project_id, 'inventory', jsonb_build_object('intake_id', id), 'analyst', CASE state WHEN 'running' THEN 'refused' ELSE state END,
             done, total, cancelled, CASE state WHEN 'running' THEN '{"reason": "It was stopped before it was taken. Nothing was taken."}' ELSE result END, created_at
      FROM intakes WHERE state <> 'mapping'
    SQL
    remove_columns :intakes, :state, :done, :total, :cancelled, :result, :started_at
  end
end
