# frozen_string_literal: true

# Whether a person put something where it stands; what stands on sheets already was put there.
class KnowTheHand < ActiveRecord::Migration[7.2]
  def change
    add_column :placements, :by_hand, :boolean, null: false, default: true
    change_column_default :placements, :by_hand, from: true, to: false
  end
end
