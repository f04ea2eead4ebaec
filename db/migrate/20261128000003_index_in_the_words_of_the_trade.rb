# frozen_string_literal: true

# Tables and columns in the words of the trade: an index is generated, a layer has versions, the other layout is the
# index sheet's. Work on an index that was under way is dropped with its job.
class IndexInTheWordsOfTheTrade < ActiveRecord::Migration[7.2]
  def change
    rename_table :weavings, :index_runs
    rename_column :grid_indices, :woven, :generated_with
    rename_column :layers, :edition, :version
    reversible do |way|
      way.up do
        execute "DELETE FROM index_runs"
        execute "DELETE FROM delayed_jobs WHERE handler LIKE '%WeavingJob%'"
        execute "UPDATE layouts SET role = 'index' WHERE role = 'key'"
      end
      way.down do
        execute "DELETE FROM index_runs"
        execute "DELETE FROM delayed_jobs WHERE handler LIKE '%IndexRunJob%'"
        execute "UPDATE layouts SET role = 'key' WHERE role = 'index'"
      end
    end
  end
end
