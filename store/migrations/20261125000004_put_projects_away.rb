# frozen_string_literal: true

# Projects that were put away, and what the list of projects tells of each.
class PutProjectsAway < ActiveRecord::Migration[7.2]
  def change
    add_column :projects, :put_away_at, :timestamptz
    # As it was when the checks last ran; nil before that.
    add_column :projects, :open_findings, :integer
  end
end
