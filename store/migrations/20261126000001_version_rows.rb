# frozen_string_literal: true

# Entries of the journal know the shape of the rows in them, and what is drawn is called by the names of the field.
class VersionRows < ActiveRecord::Migration[7.2]
  def up
    add_column :journal, :row_version, :integer, null: false, default: 1
    rename_column :sheets, :notation, :notation_name
    rename_key :sheets, :view, "manner", "layout_style"
    rename_key :placements, :shape, "quiet", "labels_hidden"
  end

  def down
    rename_key :placements, :shape, "labels_hidden", "quiet"
    rename_key :sheets, :view, "layout_style", "manner"
    rename_column :sheets, :notation_name, :notation
    remove_column :journal, :row_version
  end

  private

  def rename_key(table, column, old, new)
    execute "UPDATE #{table} SET #{column} = #{column} - '#{old}' || jsonb_build_object('#{new}', #{column} -> '#{old}') WHERE " \
            "jsonb_exists(#{column}, '#{old}')"
  end
end
