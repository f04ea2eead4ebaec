# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Ground do
  before { empty_database }

  let(:book) { kept_book }

  it "finds a sheet's features in their blocks, as the tree in memory does" do
    source = book.source
    memory = TileLoom::Data::MemorySource.new("dams" => source.features("dams", nil))
    [[402_000, 6_528_000, 402_460, 6_529_000], [402_150, 6_528_499, 402_151, 6_528_501], [0, 0, 1, 1]].each do |corners|
      box = TileLoom::Geometry::Box.new(*corners.map(&:to_f))
      expect(source.features("dams", box).map(&:id)).to eq(memory.features("dams", box).map(&:id))
    end
  end

  it "draws the ground for the screen, and refuses a box that is none" do
    ask("/api/books/#{book.id}/ground.svg?box=402000,6528000,404000,6529000&width=800&height=400")
    expect(last_response.content_type).to include("image/svg+xml")
    expect(last_response.body).to include('data-part="area"', 'data-part="dams"')
    %w[1,2,3 a,b,c,d 5,5,1,1 0,0,NaN,1].each do |box|
      ask("/api/books/#{book.id}/ground.svg?box=#{box}&width=800&height=400")
      expect(last_response.status).to eq(422)
    end
    ask("/api/books/#{book.id}/ground.svg?box=0,0,1,1&width=999999&height=400")
    expect(answer["message"]).to match(/“width” must be a number from 1 to 6000/)
  end
end
