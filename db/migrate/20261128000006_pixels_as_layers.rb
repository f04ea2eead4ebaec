# frozen_string_literal: true

# What is known of a layer's pixels, which lie in the store; looks of the maps and the resolution of books.
class PixelsAsLayers < ActiveRecord::Migration[7.2]
  def change
    add_column :layers, :raster, :json
    add_column :books, :looks, :json
    add_column :books, :resolution_ppi, :integer
  end
end
