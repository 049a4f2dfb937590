import sharp from 'sharp';
const names=process.argv.slice(3); const w=640,h=400,cols=3;
const parts=await Promise.all(names.map(async(n,i)=>({input:await sharp(`/tmp/sh/${n}.png`).resize(w,h,{fit:'contain',background:'#fff'}).toBuffer(),left:(i%cols)*w,top:Math.floor(i/cols)*h})));
await sharp({create:{width:w*cols,height:h*Math.ceil(names.length/cols),channels:3,background:'#888'}}).composite(parts).png().toFile(process.argv[2]);
