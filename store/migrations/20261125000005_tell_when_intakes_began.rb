# frozen_string_literal: true

# Since when an inventory is being taken in.
class TellWhenIntakesBegan < ActiveRecord::Migration[7.2]
  def change
    add_column :intakes, :started_at, :timestamptz
  end
end
